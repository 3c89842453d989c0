import type { UnitSystem } from '#core/units';
import type { DescentAnswer } from '#contract/diary';
import { saveFile } from '../../../parts/saveFile.js';
import { sourceOf } from '../../../parts/openPhotograph.js';
import { DescentPage } from './DescentPage.js';

/** The bytes of a photograph inside the page itself; where it cannot be read, none. */
async function asData(id: string): Promise<string> {
  const answer = await fetch(sourceOf(id));
  if (!answer.ok) return '';
  const blob = await answer.blob();
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => {
      resolve(String(reader.result));
    };
    reader.onerror = () => {
      reject(reader.error ?? new Error('The photograph cannot be read.'));
    };
    reader.readAsDataURL(blob);
  });
}

/** Letters that mean something in a page. */
const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/** One file that any browser shows, with its photographs inside. */
export async function keepPage(descent: DescentAnswer, units: UnitSystem): Promise<void> {
  const { renderToStaticMarkup } = await import('react-dom/server');
  const ids = [...new Set(descent.made.flatMap(({ entry }) => entry.pictures.map(({ id }) => id)))];
  const pictures = new Map(await Promise.all(ids.map(async (id) => [id, await asData(id)] as const)));
  const title = descent.made[0]?.entry.title ?? '';
  const body = renderToStaticMarkup(
    <DescentPage descent={descent} units={units} sourceOf={(id) => pictures.get(id) ?? ''} />,
  );
  const head =
    `<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">` +
    `<title>${escaped(title)}</title><style>body { font-family: sans-serif; margin: 0; }</style>`;
  saveFile(
    title,
    'html',
    'text/html',
    `<!doctype html><html lang="en"><head>${head}</head><body>${body}</body></html>`,
  );
}
