import { randomBytes } from 'node:crypto';
import { refusal, renderPreview, wholeScript } from '@zorvik/core';
import { PREVIEW } from '@zorvik/contract';
import { maybeFile } from '../repositories/files.ts';
import { previewAt } from '../repositories/previews.ts';
import { currentSite } from './currentSite.ts';
import { measureFor } from './measureFor.ts';
import type { EditingDeps } from './editingDeps.ts';

/** What is sent at an address of a preview; plain data, so that it can go from one thread to another. */
export interface PreviewReply {
  readonly status: number;
  readonly type: string;
  readonly body: string | Uint8Array;
}
/** Answers what stands behind the address of previews, such as `/TOKEN/visit`. */
export type AnswerPreview = (path: string) => Promise<PreviewReply>;

/** For how long a preview can be seen, in ms. */
export const PREVIEW_LASTS = 86_400_000;

/** What nobody guesses: 192 random bits, in letters that an address may have. */
export function previewToken(): string {
  return randomBytes(24).toString('base64url');
}

const ADDRESS = /^\/([\w-]{32})(\/[^?#]*)?(?:[?#].*)?$/;

/** The pages of working copies, each as it is when it is asked for. */
export function previewsIn(deps: EditingDeps): AnswerPreview {
  const { database, now } = deps;
  return async (address) => {
    const [, token = '', path = '/'] = ADDRESS.exec(address) ?? [];
    const found = token === '' ? null : await previewAt(database, token, now().toISOString());
    if (found === null) return plain(404, refusal('noPreview').message);
    if (path === '/navigation.js')
      return { status: 200, type: 'text/javascript; charset=utf-8', body: wholeScript };
    const [, picture] = /^\/pictures\/([\w.-]+)$/.exec(path) ?? [];
    if (picture !== undefined) {
      const file = await maybeFile(database, found.siteId, picture);
      return file === null
        ? plain(404, refusal('noPicture', { name: picture }).message)
        : { status: 200, type: file.type, body: file.bytes };
    }
    const current = await currentSite(deps, found.siteKey);
    if (!current.ok) return plain(404, current.refusal.message);
    const { document } = current.value.site;
    const measure = await measureFor(database, found.siteId, document);
    const { html, isFound } = renderPreview(document, path, {
      base: `${PREVIEW}/${token}/`,
      note: `not published · expires ${inZone(found.endsAt, document.site.timeZone)}`,
      compareTitles: new Intl.Collator(document.site.language, { numeric: true }).compare,
      year: now().getUTCFullYear(),
      ...(measure === undefined ? {} : { measure }),
    });
    return { status: isFound ? 200 : 404, type: 'text/html; charset=utf-8', body: html };
  };
}

function plain(status: number, text: string): PreviewReply {
  return { status, type: 'text/plain; charset=utf-8', body: text };
}

/** A moment as it is said on the site; a site may name a time zone that this machine does not know. */
function inZone(at: string, timeZone: string): string {
  const format = (zone: string): string =>
    new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone }).format(
      new Date(at),
    );
  try {
    return format(timeZone);
  } catch {
    return format('UTC');
  }
}
