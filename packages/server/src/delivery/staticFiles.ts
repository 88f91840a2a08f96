import { strToU8, zipSync, type Zippable } from 'fflate';
import { DELIVERY } from '@zorvik/contract';
import { frameAreas, type FrameIndex } from '@zorvik/core';
import type { Frames } from './frames.ts';
import { textOf } from './markedFiles.ts';
import type { ReadyFile } from './sendFile.ts';

/** Where a site puts the files, from its root; links between them are written for it. */
const FOLDER = 'navigation';

/**
 * Everything that is delivered of a site as a ZIP archive, for sites that serve files alone: the frame of all pages
 * and of each template, menus, panels, pictures, style sheet, script, and a page that uses them. The marks of the
 * current page are set by the script there.
 */
export function staticFiles(
  siteKey: string,
  index: FrameIndex | null,
  files: ReadonlyMap<string, ReadyFile>,
  frames: Frames | null,
): Uint8Array {
  const out: Zippable = {};
  const pictures = new RegExp(`https?://[^/"' ]+${DELIVERY}/sites/${siteKey}/pictures/`, 'g');
  const put = (path: string, text: string): void =>
    void (out[path] = strToU8(text.replaceAll(pictures, `/${FOLDER}/pictures/`)));
  for (const [path, file] of files) {
    // What begins with a dot is how the frame is kept, and comes in by page below.
    if (path.startsWith('.')) continue;
    if (path.startsWith('pictures/')) out[`${FOLDER}/${path}`] = [file.bytes, { level: 0 }];
    else put(`${FOLDER}/${path}${/^menus\/[^.]+$/.test(path) ? '.json' : ''}`, textOf(file));
  }
  if (index === null || frames === null) return zipSync(out);
  const fragment = (name: string, template: string | null): string => {
    const found = frames.answer(`/${name}.html`, new URLSearchParams(template === null ? {} : { template }));
    return found.ok ? textOf(found.value) : '';
  };
  const names = ['skip', ...frameAreas];
  for (const template of [null, ...Object.keys(index.templates)]) {
    const folder =
      template === null ? `${FOLDER}/frame` : `${FOLDER}/frame/template-${encodeURIComponent(template)}`;
    for (const name of [...names, ...placesOf(index)])
      put(`${folder}/${name}.html`, fragment(name, template));
  }
  const [skip = '', header = '', side = '', footer = ''] = names.map((name) => fragment(name, null));
  put('example.html', examplePage(index, { skip, header, side, footer }));
  return zipSync(out);
}

function placesOf({ places }: FrameIndex): string[] {
  return [...new Set(places.flatMap((some) => Object.keys(some)))].map((key) => `places/${key}`);
}

function examplePage(
  { language, direction }: FrameIndex,
  parts: Readonly<Record<'skip' | 'header' | 'side' | 'footer', string>>,
): string {
  return `<!doctype html>
<html lang="${language}" dir="${direction}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Example</title>
<link rel="stylesheet" href="/${FOLDER}/navigation.css">
<script src="/${FOLDER}/navigation.js" defer></script>
</head>
<body>
${parts.skip}
${parts.header}
${parts.side}
<main id="content">
<h1>Example</h1>
</main>
${parts.footer}
</body>
</html>
`;
}
