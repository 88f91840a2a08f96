import type { IRouter } from 'express';
import {
  can,
  EDIT_VERSION,
  kindOf,
  mintId,
  no,
  ok,
  refusal,
  type Edit,
  type Placing,
  type Result,
  changeTree,
} from '@zorvik/core';
import { routes, type Reading } from '@zorvik/contract';
import type { Deps } from '../deps.ts';
import { currentSite } from '../editing/currentSite.ts';
import { saveEdit } from '../editing/saveEdit.ts';
import { deadLinks, outsideLinks } from '../reading/checkLinks.ts';
import { countsOf, startAddress, type ReadDifference, type ReadingDesk } from '../reading/readingDesk.ts';
import { keepPlan, noteReading, planOf, tellReading } from '../repositories/readings.ts';
import { maybeSite } from '../repositories/sites.ts';
import { serve } from './serve.ts';

const SAMPLES = 40;
/** So many rows of the tree of changes are told. */
const MOST_ROWS = 500;
const MOST_CHANGED = 2000;

/** Reading a site over HTTP: begun, looked at, steered, planned, and taken in as one edit. */
export function readingRoutes(router: IRouter, deps: Deps, desk: ReadingDesk): void {
  /** How far the reading of a site is, with the difference where it is done and somebody asks for it. */
  const replyFor = async (siteKey: string, found: ReadDifference | null = null): Promise<Result<Reading>> => {
    const site = await maybeSite(deps.database, siteKey);
    if (site === null) return no(refusal('unknownSite', { key: siteKey }));
    const plan = await planOf(deps.database, site.id);
    const reading = desk.of(siteKey);
    if (reading === null)
      return ok({
        state: 'none',
        address: '',
        read: 0,
        waiting: 0,
        reason: null,
        problems: [],
        plan,
        difference: null,
      });
    const { problems, ...progress } = reading.progress();
    return ok({
      ...progress,
      address: reading.origin,
      problems: [...problems],
      plan,
      difference: found === null ? null : differenceOf(found),
    });
  };

  serve(router, routes.startReading, async ({ params, body }) => {
    const leave = can(deps.actor, 'importPages');
    if (!leave.ok) return leave;
    const siteKey = params.siteKey ?? '';
    const begun = await desk.begin(siteKey, body);
    return begun.ok ? replyFor(siteKey) : begun;
  });

  serve(router, routes.planOf, async ({ params }) => {
    const site = await maybeSite(deps.database, params.siteKey ?? '');
    return site === null
      ? no(refusal('unknownSite', { key: params.siteKey ?? '' }))
      : ok({ plan: await planOf(deps.database, site.id) });
  });

  serve(router, routes.planReading, async ({ params, body }) => {
    const leave = can(deps.actor, 'importPages');
    if (!leave.ok) return leave;
    const siteKey = params.siteKey ?? '';
    const address = startAddress(body.address);
    if (!address.ok) return address;
    const site = await maybeSite(deps.database, siteKey);
    if (site === null) return no(refusal('unknownSite', { key: siteKey }));
    await keepPlan(deps.database, site.id, { ...body, address: address.value });
    await tellReading(deps.database, siteKey);
    return replyFor(siteKey);
  });

  serve(router, routes.readingOf, async ({ params, query }) => {
    const siteKey = params.siteKey ?? '';
    const reading = desk.of(siteKey);
    if (reading?.progress().state !== 'done') return replyFor(siteKey);
    const current = await currentSite(deps, siteKey);
    if (!current.ok) return current;
    return replyFor(
      siteKey,
      await desk.difference(current.value, reading, {
        trust: query.trust ?? null,
        missing: query.missing ?? 'retire',
      }),
    );
  });

  serve(router, routes.steerReading, async ({ params, body }) => {
    const leave = can(deps.actor, 'importPages');
    if (!leave.ok) return leave;
    const siteKey = params.siteKey ?? '';
    const reading = desk.of(siteKey);
    if (reading === null) return no(refusal('nothingRead'));
    reading.steer(body.act);
    return replyFor(siteKey);
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
    const reading = desk.of(siteKey);
    if (reading?.progress().state !== 'done') return no(refusal('nothingRead'));
    const current = await currentSite(deps, siteKey);
    if (!current.ok) return current;
    const { document, revision } = current.value.site;
    const { diff } = await desk.difference(current.value, reading, {
      trust: body.trust ?? null,
      missing: body.missing,
    });
    const { operation } = diff;
    if (operation.added.length + operation.changed.length + operation.moved.length === 0)
      return no(refusal('nothingReadNew', { count: reading.progress().read }));
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
    desk.letGo(siteKey);
    const changed = [...new Set([...operation.changed, ...operation.moved].map(({ id }) => id))].slice(
      0,
      MOST_CHANGED,
    );
    const found = {
      at: deps.now().toISOString(),
      isTaken: true,
      changed,
      read: reading.progress().read,
      ...countsOf(diff),
    };
    await noteReading(deps.database, current.value.head.id, { found });
    await tellReading(deps.database, siteKey);
    return ok({ revision: saved.value.revision });
  });
}

/** The templates that were guessed, the largest first. */
function templatesIn(tree: ReadDifference['tree']): NonNullable<Reading['difference']>['templates'] {
  const found = new Map<string, { name: string; pages: number; sure: number }>();
  for (const { guessedTemplate: name, templateSure: sure = 0 } of tree) {
    if (name === undefined) continue;
    const known = found.get(name) ?? { name, pages: 0, sure };
    found.set(name, { ...known, pages: known.pages + 1 });
  }
  return [...found.values()].sort((a, b) => b.pages - a.pages);
}

function differenceOf({ document, tree, diff }: ReadDifference): Reading['difference'] {
  const placedBy: Record<string, number> = {};
  const titles = new Map(tree.map(({ address, title }) => [address, title]));
  const nameOf = (address: string | null | undefined): string =>
    address == null ? 'the top' : (titles.get(address) ?? address);
  for (const { placing } of tree) placedBy[placing] = (placedBy[placing] ?? 0) + 1;
  const changes = changeTree(document, diff.operation, MOST_ROWS);
  const contradicting = tree.filter(({ otherwise }) => otherwise.length > 0);
  const contradictions = contradicting.slice(0, SAMPLES).flatMap(({ title, placing, above, otherwise }) => {
    const [other] = otherwise;
    return other === undefined
      ? []
      : [
          {
            title,
            by: placing as Placing,
            under: nameOf(above[0]),
            other: other.by,
            otherUnder: nameOf(other.parent),
          },
        ];
  });
  return {
    ...countsOf(diff),
    facts: diff.facts,
    placedBy,
    templates: templatesIn(tree),
    contradictions,
    contradicting: contradicting.length,
    changes: { rows: [...changes.rows], left: changes.left },
  };
}
