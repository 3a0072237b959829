import {
  FrameRequest,
  MeasureMethodPart,
  RealSizePart,
  type StrokePart,
} from '@bright-sprout/contract/photos';
import { unguardText } from '@bright-sprout/core/imports';
import { check } from '@bright-sprout/contract/shared';
import { isCalendarDay, PHOTO_VIEWS, PICTURE_OBSERVER } from '@bright-sprout/core/shared';
import type { DataSource, EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { sameOrCleanPicture, sizeOf } from '../journal/index.ts';
import { Measure, Photo, PHOTO_LIMITS } from '../photos/index.ts';
import { Container } from '../plans/index.ts';
import { type Bundle, type BundleRow, refuseBundle } from './bundle.ts';
import type { OpenZip } from './open-zip.ts';

/** The photos of an experiment as a bundle has them: two tables, and the file names of the pictures. */
export interface BundledPhotos {
  readonly photos: BundleRow[];
  readonly measures: BundleRow[];
  readonly pictures: readonly string[];
}

interface MeasureRow {
  readonly photoId: string;
  readonly readingId: string;
  readonly method: string;
}

/** Photos and measures of an experiment as rows. @param numbers of its pots, by id */
export async function photosForBundle(
  source: DataSource,
  experimentId: string,
  numbers: ReadonlyMap<string, number>,
): Promise<BundledPhotos> {
  const [photos, containers, measures] = await Promise.all([
    source
      .getRepository(Photo)
      .createQueryBuilder('photo')
      .addSelect('photo.picture IS NOT NULL', 'hasPicture')
      .where({ experimentId })
      .orderBy('photo.takenOn')
      .addOrderBy('photo.recordedAt')
      .getRawAndEntities<{ hasPicture: number }>(),
    source.getRepository(Container).find({ where: { experimentId }, order: { position: 'ASC' } }),
    source.query<MeasureRow[]>(
      `SELECT m.photo_id AS photoId, m.reading_id AS readingId, m.method
       FROM photo p JOIN measure m ON m.photo_id = p.id JOIN reading r ON r.id = m.reading_id
       WHERE p.experiment_id = ? ORDER BY r.recorded_at, r.id`,
      [experimentId],
    ),
  ]);
  const containerNumber = new Map(containers.map(({ id }, index) => [id, index + 1]));
  const pictured = photos.entities.map(({ id }, index) =>
    Number(photos.raw[index]?.hasPicture) === 1 ? `photos/${id}.jpg` : '',
  );
  const textOf = (value: string | number | null | undefined): string => String(value ?? '');
  return {
    photos: photos.entities.map((photo, index) => ({
      id: photo.id,
      taken_on: photo.takenOn,
      view: photo.view,
      container: textOf(containerNumber.get(photo.containerId ?? '')),
      unit: textOf(numbers.get(photo.unitId ?? '')),
      corners: textOf(photo.corners?.join(' ')),
      grey_patch: textOf(photo.greyPatch?.join(' ')),
      left_out: photo.leftOut ? JSON.stringify(photo.leftOut) : '',
      across_mm: textOf(photo.size?.acrossMm),
      down_mm: textOf(photo.size?.downMm),
      observer: photo.observer,
      picture: pictured[index] ?? '',
    })),
    measures: measures.map((row) => {
      const method = JSON.parse(row.method) as MeasureMethodPart;
      return {
        reading: row.readingId,
        photo: row.photoId,
        kind: method.kind,
        threshold: textOf(method.threshold),
        low: String(method.low),
        high: String(method.high),
        pixels: String(method.pixels),
        apart_mm: textOf(method.apartMm),
        marks: method.marks.join(' '),
      };
    }),
    pictures: pictured.filter((name) => name !== ''),
  };
}

/** The pictures of a bundle, each read when it is stored. */
export class BundledPictures {
  readonly #ofPhotos: ReadonlySet<string>;

  constructor(
    private readonly zip: OpenZip,
    private readonly bundle: Bundle,
  ) {
    this.#ofPhotos = new Set(bundle.tables.photos.map((row) => row.picture ?? ''));
  }

  /**
   * A picture, byte for byte where it was drawn here before; `null` where there is none of that name.
   * @throws ApiError `unreadable_file`, `not_a_picture`, `too_large`
   */
  async read(name: string | undefined): Promise<Buffer | null> {
    if (!name || !this.bundle.pictures.includes(name)) return null;
    const bytes = await this.zip.read(name, PHOTO_LIMITS.most).catch(refuseBundle);
    return bytes ? sameOrCleanPicture(bytes, this.#ofPhotos.has(name) ? PHOTO_LIMITS : undefined) : null;
  }
}

/** Stores the photos of a bundle, and links those readings to them that were measured on them. */
export async function insertPhotos(
  manager: EntityManager,
  experimentId: string,
  { tables, readings }: Bundle,
  unitIds: ReadonlyMap<number, string>,
  pictures: BundledPictures,
): Promise<void> {
  const containers = await manager.find(Container, { where: { experimentId }, order: { position: 'ASC' } });
  const newIds = new Map<string, string>();
  for (const row of tables.photos) {
    const view = PHOTO_VIEWS.find((one) => one === row.view);
    const takenOn = row.taken_on ?? '';
    if (!view || !isCalendarDay(takenOn)) continue;
    const picture = await pictures.read(row.picture);
    if (row.picture && !picture) continue;
    const id = uuid();
    newIds.set(row.id ?? '', id);
    await manager.insert(Photo, {
      ...{ id, experimentId, view, takenOn, picture },
      ...(picture ? await sizeOf(picture) : { width: 1, height: 1 }),
      containerId: containers[Number(row.container) - 1]?.id ?? null,
      unitId: unitIds.get(Number(row.unit)) ?? null,
      corners: numbersIn(row.corners, 8),
      greyPatch: numbersIn(row.grey_patch, 4),
      leftOut: strokesIn(row.left_out),
      size: sizeIn(row),
      observer: (row.observer ?? '').slice(0, 60),
    });
  }
  const measured = await manager.query<MeasuredReading[]>(
    `SELECT r.id, r.unit_id AS unitId, r.observed_on AS observedOn, r.recorded_at AS recordedAt, v.name AS variable
     FROM unit u JOIN reading r ON r.unit_id = u.id JOIN variable v ON v.id = r.variable_id
     WHERE u.experiment_id = ? AND r.observer = ?`,
    [experimentId, PICTURE_OBSERVER],
  );
  const byPlace = new Map(measured.map((reading) => [placeOf(reading), reading.id]));
  const readingOf = readingsById(readings);
  for (const measure of tables.measures) {
    const row: BundleRow = { ...measure, ...readingOf(measure.reading) };
    const photoId = newIds.get(row.photo ?? '');
    const unitId = unitIds.get(Number(row.unit)) ?? '';
    const place = { unitId, observedOn: row.observed ?? '', variable: row.variable ?? '' };
    const readingId = byPlace.get(placeOf({ ...place, recordedAt: new Date(row.recorded_at ?? '') }));
    const method = methodOf(row);
    if (photoId && readingId && method) await manager.insert(Measure, { readingId, photoId, method });
  }
}

/** Finds the cells of a reading by its id; bundles of before say them in the measure itself. */
function readingsById([header = [], ...rows]: Bundle['readings']): (id: string | undefined) => BundleRow {
  const at = (name: string): number => header.indexOf(name);
  const byId = new Map(rows.map((row) => [row[at('reading')], row]));
  const names = ['unit', 'variable', 'observed', 'recorded_at'];
  return (id) => {
    const row = id ? byId.get(id) : undefined;
    return row ? Object.fromEntries(names.map((name) => [name, unguardText(row[at(name)] ?? '')])) : {};
  };
}

interface MeasuredReading {
  readonly id: string;
  readonly unitId: string;
  readonly observedOn: string;
  readonly recordedAt: Date;
  readonly variable: string;
}

function placeOf({ unitId, observedOn, recordedAt, variable }: Omit<MeasuredReading, 'id'>): string {
  return [unitId, observedOn, variable, recordedAt.getTime()].join(' ');
}

function methodOf(row: BundleRow): MeasureMethodPart | undefined {
  const checked = check(MeasureMethodPart, {
    kind: row.kind,
    ...(row.threshold ? { threshold: Number(row.threshold) } : {}),
    low: Number(row.low),
    high: Number(row.high),
    pixels: Number(row.pixels),
    ...(row.apart_mm ? { apartMm: Number(row.apart_mm) } : {}),
    marks: row.marks ? row.marks.split(' ').map(Number) : [],
  });
  return checked.ok ? checked.value : undefined;
}

function sizeIn({ across_mm: acrossMm, down_mm: downMm }: BundleRow): RealSizePart | null {
  if (!acrossMm || !downMm) return null;
  const checked = check(RealSizePart, { acrossMm: Number(acrossMm), downMm: Number(downMm) });
  return checked.ok ? checked.value : null;
}

function strokesIn(text: string | undefined): StrokePart[] | null {
  if (!text) return null;
  try {
    const checked = check(FrameRequest, {
      corners: null,
      greyPatch: null,
      leftOut: JSON.parse(text) as unknown,
    });
    return checked.ok ? (checked.value.leftOut ?? null) : null;
  } catch {
    return null;
  }
}

function numbersIn(text: string | undefined, count: number): number[] | null {
  const numbers = (text ?? '').split(' ').map(Number);
  return text && numbers.length === count && numbers.every(Number.isFinite) ? numbers : null;
}
