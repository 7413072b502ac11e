/** A page of one sentence that is whole as it comes: no script, no font, nothing to fetch. */
import { PRODUCT } from '@/words/screens/frame';

interface Said {
  readonly head: string;
  readonly say: string;
}
const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const written = (text: string) => text.replace(/[&<>"]/g, (sign) => SIGNS[sign]!);

const STYLE = [
  'body{margin:0;background:#f4f1ea;color:#2b2a27;font:18px/1.5 "Alegreya Sans",system-ui,sans-serif}',
  'main{max-width:30rem;margin:12vh auto;padding:0 1.5rem}',
  'h1{font-size:1.6rem;line-height:1.2;margin:0 0 .5rem}',
  '@media (prefers-color-scheme:dark){body{background:#1f1e1b;color:#ece7dc}}',
].join('');

/** `nonce`: that of the request, for the page's own style. */
export const plainPage = ({ head, say }: Said, status: number, nonce: string): Response =>
  new Response(
    '<!doctype html><html lang="en-US"><head><meta charset="utf-8">' +
      '<meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex">' +
      `<title>${written(head)} · ${PRODUCT.name}</title><style nonce="${written(nonce)}">${STYLE}</style></head>` +
      `<body><main><h1>${written(head)}</h1><p>${written(say)}</p></main></body></html>`,
    { status, headers: { 'content-type': 'text/html; charset=utf-8' } },
  );
