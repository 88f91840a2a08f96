import type { Params } from '../base/fillIn.ts';
import { inWords, phrase, type PhraseCode } from '../base/sentences.ts';
import type { Id } from '../base/ids.ts';
import type { SiteDocument } from '../model/document.ts';
import { nameOf } from '../model/labelOf.ts';
import type { Page } from '../schema/page.ts';
import { ancestors } from '../walk/ancestors.ts';
import { findingInWords, toneOf, type Finding, type FindingTone, type MendKind } from './finding.ts';

/** Findings that one change on the site has caused, in the order of the menu. */
export interface Cause {
  /** The same as long as it is about the same. */
  readonly key: string;
  readonly tone: FindingTone;
  readonly findings: readonly [Finding, ...Finding[]];
}

/** What fails visitors comes first, then what is wrong for them, then news. */
const order: Readonly<Record<FindingTone, number>> = { broken: 0, wrong: 1, news: 2 };

/**
 * Findings by their cause, the urgent ones first: pages deleted with the page above them, addresses that changed with the one
 * above them, and whatever else came by one change. O(findings * depth).
 */
export function byCause(document: SiteDocument, findings: readonly Finding[]): Cause[] {
  const causes = new Map<string, [Finding, ...Finding[]]>();
  for (const finding of findings) {
    const key = `${finding.menu} ${finding.kind} ${causeOf(document, finding)}`;
    const known = causes.get(key);
    if (known === undefined) causes.set(key, [finding]);
    else known.push(finding);
  }
  return [...causes]
    .map(([key, all]): Cause => ({ key, tone: toneOf(all[0]), findings: all }))
    .sort((a, b) => order[a.tone] - order[b.tone]);
}

/** What a cause says: of several findings, how many there are and what they have in common. */
export function causeInWords(document: SiteDocument, { findings }: Cause): string {
  const [first] = findings;
  if (findings.length === 1) return findingInWords(first);
  const code = `${first.kind}Several` as PhraseCode;
  return inWords(phrase(code, { ...first.params, ...sharedParams(document, first), count: findings.length }));
}

/** What the first fix of each finding of a cause does, on one button. */
export function fixAllInWords({ findings }: Cause): string {
  const kinds = new Set(findings.map(({ mends }) => mends[0]?.kind));
  const [kind] = kinds;
  const code = kinds.size === 1 && kind !== undefined ? fixesAll[kind] : undefined;
  const isAddress = findings[0].kind === 'addressChanged';
  return inWords(phrase(isAddress ? 'agreeAll' : (code ?? 'fixAll'), { count: findings.length }));
}
const fixesAll: { readonly [K in MendKind]?: PhraseCode } = {
  addIt: 'addAll',
  moveThere: 'moveAll',
  takeTitle: 'renameAll',
  remove: 'removeAll',
  leadThere: 'linkAll',
};

function sharedParams(document: SiteDocument, finding: Finding): Params {
  const { kind, page, params } = finding;
  if (kind === 'addressChanged') {
    const [was, now] = prefixes(finding);
    return { was, now };
  }
  if (kind === 'pageGone' && page !== null)
    return { page: nameOf(document, 'pages', topGone(document, page)) };
  return kind === 'linkDead' ? { host: hostOf(String(params['address'] ?? '')) } : {};
}

/** The same for findings that came by the same change. */
function causeOf(document: SiteDocument, finding: Finding): string {
  const { kind, page, part, params, id, at } = finding;
  // What a panel links to is said of its part.
  if (part !== undefined) return id;
  switch (kind) {
    case 'addressChanged':
      return prefixes(finding).join(' ');
    case 'pageGone':
      return page === null ? id : topGone(document, page);
    case 'pageMoved':
      return `${document.pages.nodes.get(page ?? '')?.parent ?? ''} ${String(params['was'])}`;
    case 'pageNew':
      return `${at} ${document.pages.nodes.get(page ?? '')?.parent ?? ''}`;
    case 'kindChanged':
      return `${String(params['was'])} ${String(params['now'])}`;
    case 'linkDead':
      return hostOf(String(params['address'] ?? ''));
    case 'titleStale':
    case 'pageDraft':
    case 'plannedLive':
    case 'addressRedirects':
      return page ?? id;
    case 'addressOfPage':
      return kind;
    case 'addressGone':
    case 'anchorGone':
    case 'orderDiffers':
    case 'exceptionLost':
    case 'sourceRenamed':
      return id;
  }
}

/** What of two addresses is not the same at their end, in whole steps: what really changed. */
function prefixes({ params }: Finding): readonly [was: string, now: string] {
  const [was, now] = [String(params['was'] ?? ''), String(params['now'] ?? '')].map((one) =>
    one.split('/'),
  ) as [string[], string[]];
  while (was.length > 2 && now.length > 2 && was.at(-1) === now.at(-1)) {
    was.pop();
    now.pop();
  }
  return [was.join('/'), now.join('/')];
}

/** The topmost page above a deleted one that was deleted, too. */
function topGone({ pages }: SiteDocument, page: Id): Id {
  const own = pages.nodes.get(page);
  if (own === undefined) return page;
  const above = [...ancestors<Page>(own, ({ parent }) => pages.nodes.get(parent))];
  const alive = above.findIndex(({ state }) => state !== 'gone');
  return (alive === -1 ? above : above.slice(0, alive)).at(-1)?.id ?? page;
}

function hostOf(address: string): string {
  return /^[a-z]+:\/\/([^/?#]+)/i.exec(address)?.[1] ?? address;
}
