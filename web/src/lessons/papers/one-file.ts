/** Selectors of styles that a page on its own needs. */
const OWN_STYLES =
  /\.(sheet|report|curves|line-up|our-words|drawn|mark-key|treatment-mark|next-plan|question-facts|photo-days|visually-hidden)/;

/** Saves what is shown as one file that needs neither this application nor a network: styles and pictures within. */
export async function downloadPage(shown: HTMLElement, title: string): Promise<void> {
  const page = shown.cloneNode(true) as HTMLElement;
  for (const part of page.querySelectorAll('.not-printed, button, .is-left-out')) part.remove();
  await Promise.all([...page.querySelectorAll('img')].map(embed));
  const head = `<meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escaped(title)}</title>`;
  const style = `<style>body{margin:0 auto;max-width:56rem;padding:1rem;font-family:sans-serif}${styles()}</style>`;
  const html = `<!doctype html><html lang="${document.documentElement.lang}"><head>${head}${style}</head><body>${page.outerHTML}</body></html>`;
  const address = URL.createObjectURL(new Blob([html], { type: 'text/html' }));
  const link = document.createElement('a');
  link.href = address;
  link.download = `${title
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '')}.html`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** Puts a picture's bytes into its address. */
async function embed(image: HTMLImageElement): Promise<void> {
  const answer = await fetch(image.src);
  const blob = await answer.blob();
  const bytes = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(reader.error ?? new Error('a picture could not be read'));
    reader.readAsDataURL(blob);
  });
  image.removeAttribute('loading');
  image.src = bytes;
}

/** Rules of this page's styles that the paper uses, with the colours they name. */
function styles(): string {
  const rules = [...document.styleSheets].flatMap((sheet) => {
    try {
      return [...sheet.cssRules];
    } catch {
      return [];
    }
  });
  return rules
    .filter(
      (rule) =>
        rule instanceof CSSStyleRule &&
        (rule.selectorText.includes(':root') || OWN_STYLES.test(rule.selectorText)),
    )
    .map((rule) => rule.cssText)
    .join('');
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
}
