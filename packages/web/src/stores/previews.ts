import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { PREVIEW, routes, type PreviewSummary } from '@zorvik/contract';
import { ask, problemOf } from '../api/client.ts';
import { useSession } from './session.ts';
import { useSites } from './sites.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** The private addresses at which the open site's working copy can be seen. */
export const usePreviews = defineStore('previews', () => {
  const copy = useWorkingCopy();
  const session = useSession();
  const sites = useSites();
  const previews = shallowRef<readonly PreviewSummary[]>([]);
  const problem = ref<string | null>(null);

  async function load(): Promise<void> {
    const { siteKey } = copy;
    if (siteKey === null) return;
    if (!sites.isLoaded) await sites.load();
    const answer = await ask(routes.listPreviews, { params: { siteKey } });
    if (answer.kind === 'reply') previews.value = answer.value.previews;
    problem.value = answer.kind === 'reply' ? null : problemOf(answer, 'nothing was changed');
  }

  async function make(): Promise<void> {
    const { siteKey } = copy;
    if (siteKey === null) return;
    const answer = await ask(routes.makePreview, { params: { siteKey }, body: { name: session.shownName } });
    if (answer.kind !== 'reply') return void (problem.value = problemOf(answer, 'no address was made'));
    await load();
  }

  async function revoke(token: string): Promise<void> {
    const { siteKey } = copy;
    if (siteKey === null) return;
    const answer = await ask(routes.revokePreview, { params: { siteKey }, body: { token } });
    // What has ended meanwhile is as good as revoked.
    if (answer.kind === 'away') return void (problem.value = problemOf(answer, 'it was not revoked'));
    await load();
  }

  /** The address of a preview, at a page. */
  const addressOf = (token: string, path: string): string =>
    `${sites.delivery}${PREVIEW}/${token}${path.startsWith('/') ? path : '/'}`;

  return { previews, problem, load, make, revoke, addressOf };
});
