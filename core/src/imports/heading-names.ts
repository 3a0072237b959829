import type { ColumnRole } from './mapping.ts';

/** Words that head columns, in English, German, Spanish and French, without their accents. */
const HEADINGS: readonly (readonly [ColumnRole, string])[] = [
  [
    'unit',
    'pot|unit|cup|cell|plot|bag|jar|id|no|number|pot (no|number|id|name)|sample|sample id|topf|becher|gefass|topf (nr|nummer)|nr|nummer|maceta|vaso|tiesto|recipiente|maceta n|numero|pot n|godet|bac|gobelet|n',
  ],
  [
    'replicate',
    'rep|reps|replicate|replication|repeat|dish|plate|petri|petri dish|towel|dish (no|number)|schale|petrischale|wiederholung|placa|placa de petri|repeticion|replica|boite|boite de petri|repetition',
  ],
  [
    'plant',
    'plant|seedling|shoot|stem|plant (no|number|id)|pflanze|keimling|planta|plantula|plante|plantule',
  ],
  [
    'treatment',
    'treatment|treat|trt|group|condition|soil|fertili[sz]er|feed|light|variety|cultivar|crop|type|behandlung|gruppe|sorte|erde|dunger|licht|tratamiento|grupo|variedad|suelo|abono|luz|tipo|traitement|groupe|variete|sol|engrais|lumiere|condicion',
  ],
  ['block', 'block|tray|row|shelf|bench|reihe|regal|bloque|bandeja|fila|estante|bloc|rangee|etagere|plateau'],
  ['team', 'team|group name|table|tisch|equipo|mesa|equipe'],
  [
    'observer',
    'observer|reader|student|pupil|name|read by|measured by|who|initials|schuler|schulerin|beobachter|gemessen von|alumno|alumna|alumnado|observador|nombre|medido por|eleve|observateur|nom|mesure par',
  ],
  [
    'seeds_sown',
    'seeds|seeds sown|sown seeds|n seeds|number sown|no sown|samen|gesate samen|anzahl samen|korner|semillas|semillas sembradas|graines|graines semees',
  ],
  [
    'sown',
    'sown|sowed|sown on|sowing|sowing date|date sown|planted|planted on|gesat|gesat am|aussaat|saat|sembrado|sembrado el|fecha de siembra|siembra|seme|seme le|date de semis|semis',
  ],
  [
    'date',
    'date|observed|observed on|measured on|day measured|date read|when|datum|gemessen am|fecha|fecha de medida|medido el|date de mesure|mesure le',
  ],
  [
    'day',
    'day|days|day no|days after sowing|days since sowing|das|age|weeks?|week no|tag|tage|tage nach (der )?aussaat|woche|wochen|dia|dias|dias (desde|despues de) (la )?siembra|semana|semanas|jour|jours|jours apres (le )?semis|semaine|semaines',
  ],
  ['state', 'state|status|fate|alive|zustand|estado|etat'],
  [
    'variable',
    'variable|measure|measurement|measured|trait|parameter|quantity|what|messgrosse|merkmal|medida|caracter|parametro|mesure|grandeur|caractere|parametre',
  ],
];

const BY_HEADING = HEADINGS.map(([role, words]) => [new RegExp(`^(${words})$`), role] as const);

/** Parts of headings below which values stand. */
const VALUES =
  /(height|length|width|weight|mass|yield|leaves|leaf|count|value|reading|result|germinat|emerged|^up$|number up|seeds up|size|cover|score|rating|area|flowers|pods|hohe|lange|breite|gewicht|blatter|gekeimt|keimlinge|anzahl|wert|messwert|altura|longitud|ancho|peso|hojas|germinad|brotad|valor|hauteur|longueur|largeur|poids|feuilles|germe|levees|valeur|taille)/;

/** Headings of columns, and names of rows, that hold a mean, a sum or a spread of the values beside them. */
const SUMMARIES =
  /^(the )?((class|group|grand|pot|row|column|overall) )?((means?|averages?|avg|ave|mittel|mittelwert|durchschnitt|promedio|moyenne)( .*)?|(totals?|sums?|summe|gesamt|suma|somme)( (all|of|for|per|de|por|aller) .*)?|st ?dev|sd|s ?d|se|sem|standard (deviation|error)|minimum|maximum|min|max|median|range|media|mediana|mediane|standardabweichung|desviacion( estandar)?|ecart ?type)$|\b(mean|average|total|mittelwert|promedio|moyenne)$/;

/** A heading without what says nothing: case, accents, signs, `_`, and what stands in brackets. */
export function plainHeading(text: string): string {
  return text
    .replaceAll('_', ' ')
    .replace(/[([].*$/, '')
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[.,:;#°º?¿!*'’-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** The role that a heading names; undefined where it names none. */
export function roleNamed(heading: string): ColumnRole | undefined {
  const plain = plainHeading(heading);
  const named = BY_HEADING.find(([pattern]) => pattern.test(plain));
  if (named) return named[1];
  return VALUES.test(plain) ? 'value' : undefined;
}

/** True for a heading or a row's name that says mean, total or the like. */
export function isSummaryName(text: string): boolean {
  return SUMMARIES.test(plainHeading(text));
}
