import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { routes, type DeletedSite, type NewSite, type SiteSummary } from '@zorvik/contract';
import { ask, problemOf, type Answer } from '../api/client.ts';
import { sendSitemap, type ImportDone } from '../api/sendSitemap.ts';
import { useSession } from './session.ts';

export type MissingPages = 'keep' | 'retire';

/** What came of something that was asked for: its outcome, or why there is none, in words. */
export type Outcome<T> = { readonly value: T } | { readonly problem: string };

/** All sites, and how new ones come to be. */
export const useSites = defineStore('sites', () => {
  const session = useSession();
  const sites = shallowRef<readonly SiteSummary[]>([]);
  /** Those that can still be restored. */
  const deleted = shallowRef<readonly DeletedSite[]>([]);
  const standIn = ref<string | null>(null);
  /** Where editions are delivered. */
  const delivery = ref('');
  const problem = ref<string | null>(null);
  const isLoaded = ref(false);

  async function load(): Promise<void> {
    const answer = await ask(routes.listSites);
    problem.value =
      answer.kind === 'reply'
        ? null
        : answer.kind === 'away'
          ? 'No connection to the server. Start it, then reload this page.'
          : answer.refusal.message;
    if (answer.kind !== 'reply') return;
    deleted.value = answer.value.deleted;
    ({ sites: sites.value, standIn: standIn.value, delivery: delivery.value } = answer.value);
    isLoaded.value = true;
  }

  async function make(wanted: NewSite): Promise<Outcome<SiteSummary>> {
    return outcomeOf(await ask(routes.makeSite, { body: wanted }), 'nothing was saved');
  }

  async function makeFromSitemap(
    wanted: NewSite,
    bytes: Blob,
    onProgress: (stored: number, of: number) => void,
    signal: AbortSignal,
  ): Promise<Outcome<ImportDone>> {
    const answer = await sendSitemap(
      routes.makeSiteFromSitemap,
      { query: wanted, signal },
      bytes,
      onProgress,
    );
    return outcomeOf(answer, 'nothing was saved');
  }

  async function readInto(
    siteKey: string,
    missing: MissingPages,
    bytes: Blob,
    onProgress: (stored: number, of: number) => void,
    signal: AbortSignal,
  ): Promise<Outcome<ImportDone>> {
    const answer = await sendSitemap(
      routes.importPages,
      { params: { siteKey }, query: { missing, session: session.id, name: session.shownName }, signal },
      bytes,
      onProgress,
    );
    return outcomeOf(answer, 'nothing was changed');
  }

  /** Deletes a site whose name was typed; it can be restored for a day. */
  async function remove(siteKey: string, typed: string): Promise<Outcome<DeletedSite>> {
    const answer = await ask(routes.deleteSite, { params: { siteKey }, body: { name: typed } });
    await load();
    return outcomeOf(answer, 'nothing was deleted');
  }

  async function restore(siteKey: string): Promise<Outcome<SiteSummary>> {
    const answer = await ask(routes.restoreSite, { params: { siteKey }, body: {} });
    await load();
    return outcomeOf(answer, 'nothing was restored');
  }

  return {
    sites,
    deleted,
    remove,
    restore,
    standIn,
    delivery,
    problem,
    isLoaded,
    load,
    make,
    makeFromSitemap,
    readInto,
  };
});

function outcomeOf<T>(answer: Answer<T>, consequence: string): Outcome<T> {
  return answer.kind === 'reply' ? { value: answer.value } : { problem: problemOf(answer, consequence) };
}
