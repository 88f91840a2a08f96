import { no, ok, readFrame, refusal, type PortableSketch, type Result } from '@zorvik/core';
import { readOwnFile, writeOwnFile } from '../ownFile.ts';
import { sanitiseHtml } from '../html/sanitiseHtml.ts';

/** Where the schema of this format can be read; docs/formats/frame-1.schema.json is the same. */
export const FRAME_SCHEMA = 'https://zorvik.example/formats/frame-1.schema.json';
const FORMAT = 'zorvik-frame';

/** A frame as it goes from one site to another. */
export interface FrameFile {
  readonly name: string;
  readonly areas: readonly PortableSketch[];
}

/** A frame as text, in our own format. */
export function writeFrameFile({ name, areas }: FrameFile): string {
  return writeOwnFile(FRAME_SCHEMA, FORMAT, { name, areas });
}

/** The longest text that is read, in characters. */
const LONGEST = 2_000_000;

/** Reads such a text, or says what is wrong with it and where. Own HTML is cleaned. */
export function readFrameFile(text: string): Result<FrameFile> {
  const wrong = (problem: string): Result<never> =>
    no(refusal('badFrameFile', { problem: problem.slice(0, 300) }));
  const file = readOwnFile(text, FORMAT, LONGEST);
  if ('problem' in file) return wrong(file.problem);
  const { name, areas } = file.content;
  if (!Array.isArray(areas) || areas.length === 0) return wrong('it has no list “areas”');
  const cleaned = areas.map(withCleanHtml);
  const read = readFrame(cleaned);
  if ('problem' in read) return wrong(read.problem);
  return ok({
    name: typeof name === 'string' && name.trim() !== '' ? name.slice(0, 60) : 'Imported',
    areas: read.areas,
  });
}

/** What somebody wrote by hand is cleaned as if it had been typed here. Too deep for a frame, it is left alone. */
function withCleanHtml(part: unknown, _: number, __: unknown, depth = 0): unknown {
  if (typeof part !== 'object' || part === null || depth > 10) return part;
  const { html, parts, ...rest } = part as Readonly<Record<string, unknown>>;
  return {
    ...rest,
    ...(html === undefined ? {} : { html: typeof html === 'string' ? sanitiseHtml(html).html : html }),
    ...(parts === undefined
      ? {}
      : { parts: Array.isArray(parts) ? parts.map((one) => withCleanHtml(one, 0, null, depth + 1)) : parts }),
  };
}
