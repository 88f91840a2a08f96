import type { IRouter } from 'express';
import { can, diffReading, EDIT_VERSION, kindOf, mintId, no, ok, refusal, type Edit, type Placing, type ReadingDiff } from '@zorvik/core';
import { routes, type Reading } from '@zorvik/contract';
import type { TreePage } from '@zorvik/formats';
import type { Deps } from '../deps.ts';
import { currentSite } from '../editing/currentSite.ts';
import { saveEdit } from '../editing/saveEdit.ts';
import { deadLinks, outsideLinks } from '../reading/checkLinks.ts';
import { SiteReading } from '../reading/siteReading.ts';
import { serve } from './serve.ts';

const SAMPLES = 40;

/** Reading a site over HTTP: begun, looked at, steered, and taken in as one edit. What was read is kept until it is taken in or read again. */
export function readingRoutes(router: IRouter, deps: Deps): void {
  const readings = new Map<string, SiteReading>();

  serve(router, routes.startReading, async ({ params, body }) => {
    const leave = can(deps.actor, 'importPages');
    if (!leave.ok) return leave;
    const siteKey = params.siteKey ?? '';
    const current = await currentSite(deps, siteKey);
    if (!current.ok) return current;
    const running = readings.get(siteKey);
    if (running !== undefined && (running.state === 'running' || running.state === 'paused')) return no(refusal('readingRunning'));
    const address = /^https?:\/\//i.test(body.address.trim()) ? body.address.trim() : `https://${body.address.trim()}`;
    const url = URL.canParse(address) ? new URL(address) : null;
    if (url === null || url.username !== '' || url.password !== '') return no(refusal('badStart', { address: body.address }));
    const live = [...current.value.site.document.pages.nodes.values()].filter(({ state, planned }) => state === 'live' && planned !== true);
    const reading = new SiteReading(url.href, { pages: body.pages, allowed: deps.readable, known: live.map((page) => page.address) });
    readings.set(siteKey, reading);
    void reading.run();
    return ok(replyOf(reading, null));
  });

  serve(router, routes.readingOf, async ({ params, query }) => {
    const siteKey = params.siteKey ?? '';
    const current = await currentSite(deps, siteKey);
    if (!current.ok) return current;
    const reading = readings.get(siteKey);
    if (reading === undefined) return ok(nothing);
    if (reading.state !== 'done') return ok(replyOf(reading, null));
    const tree = reading.tree(query.trust ?? null);
    const diff = diffReading(current.value.site.document, tree, { missing: query.missing ?? 'retire', random: deps.random, redirects: reading.redirects });
    return ok(replyOf(reading, { tree, diff }));
  });

  serve(router, routes.steerReading, async ({ params, body }) => {
    const reading = readings.get(params.siteKey ?? '');
    if (reading === undefined) return no(refusal('nothingRead'));
    if (body.act === 'pause') reading.pause();
    else if (body.act === 'goOn') reading.goOn();
    else reading.cancel();
    return ok(replyOf(reading, null));
  });

  serve(router, routes.checkLinks, async ({ params }) => {
    const leave = can(deps.actor, 'edit');
    if (!leave.ok) return leave;
    const current = await currentSite(deps, params.siteKey ?? '');
    if (!current.ok) return current;
    const links = outsideLinks(current.value.site.document);
    return ok({ asked: links.length, dead: await deadLinks(links, deps.readable) });
  });

  serve(router, routes.takeReading, async ({ params, body }) => {
    const leave = can(deps.actor, 'importPages');
    if (!leave.ok) return leave;
    const siteKey = params.siteKey ?? '';
    const reading = readings.get(siteKey);
    if (reading?.state !== 'done') return no(refusal('nothingRead'));
    const current = await currentSite(deps, siteKey);
    if (!current.ok) return current;
    const { document, revision } = current.value.site;
    const { operation } = diffReading(document, reading.tree(body.trust ?? null), { missing: body.missing, random: deps.random, redirects: reading.redirects });
    if (operation.added.length + operation.changed.length + operation.moved.length === 0) return no(refusal('nothingReadNew', { count: reading.read }));
    const edit: Edit = {
      id: mintId('edit', deps.random),
      version: EDIT_VERSION,
      base: revision,
      session: body.session,
      group: null,
      undoes: null,
      sentence: kindOf(operation).describe(document, operation),
      operations: [operation],
    };
    const saved = await saveEdit(deps, siteKey, edit, body.name ?? deps.actor.name);
    if (!saved.ok) return saved;
    readings.delete(siteKey);
    return ok({ revision: saved.value.revision });
  });
}

const nothing: Reading = { state: 'none', address: '', read: 0, waiting: 0, reason: null, problems: [], difference: null };

function replyOf(reading: SiteReading, found: { readonly tree: readonly TreePage[]; readonly diff: ReadingDiff } | null): Reading {
  const { state, origin, read, waiting, reason, problems } = reading;
  return { state, address: origin, read, waiting, reason, problems: [...problems], difference: found === null ? null : differenceOf(found.tree, found.diff) };
}

function differenceOf(tree: readonly TreePage[], diff: ReadingDiff): Reading['difference'] {
  const placedBy: Record<string, number> = {};
  const titles = new Map(tree.map(({ address, title }) => [address, title]));
  const nameOf = (address: string | null | undefined): string => (address == null ? 'the top' : (titles.get(address) ?? address));
  for (const { placing } of tree) placedBy[placing] = (placedBy[placing] ?? 0) + 1;
  const contradicting = tree.filter(({ otherwise }) => otherwise.length > 0);
  const contradictions = contradicting.slice(0, SAMPLES).flatMap(({ title, placing, above, otherwise }) => {
    const [other] = otherwise;
    return other === undefined ? [] : [{ title, by: placing as Placing, under: nameOf(above[0]), other: other.by, otherUnder: nameOf(other.parent) }];
  });
  const { added, renamed, moved, readdressed, gone } = diff;
  const some = (list: readonly object[]): Record<string, string>[] => list.slice(0, SAMPLES).map((one) => ({ ...one }) as Record<string, string>);
  return {
    added: added.length,
    renamed: renamed.length,
    moved: moved.length,
    readdressed: readdressed.length,
    gone: gone.length,
    placedBy,
    contradictions,
    contradicting: contradicting.length,
    samples: { added: some(added), renamed: some(renamed), moved: some(moved), readdressed: some(readdressed), gone: some(gone) },
  };
}
