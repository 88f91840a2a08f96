import { computed, ref, shallowRef } from 'vue';
import { createFilling, type Edit, type LoggedEdit, type SiteDocument, type WorkingCopy } from '@zorvik/core';
import type { EditionSummary } from '@zorvik/contract';
import { putInOutbox, type RefusedEdit } from '../../api/outbox.ts';
import type { useConnection } from '../connection.ts';
import type { useSession } from '../session.ts';

/** What this tab knows of the site that it has open, for the other files of this room to read and change. */
export function openCopy(
  session: ReturnType<typeof useSession>,
  connection: ReturnType<typeof useConnection>,
) {
  const siteKey = ref<string | null>(null);
  const copy = shallowRef<WorkingCopy | null>(null);
  const edition = shallowRef<EditionSummary | null>(null);
  const refusedEdits = shallowRef<readonly RefusedEdit[]>([]);
  /** What others did, as it arrives. */
  const news = shallowRef<readonly LoggedEdit[]>([]);
  const isOutboxKept = ref(true);
  const loadProblem = ref<string | null>(null);

  const language = computed(() => copy.value?.served.document.site.language ?? 'en');
  /** Fills in what is followed; one for each site, since it keeps its last result. */
  const fill = computed(() => createFilling(new Intl.Collator(language.value, { numeric: true }).compare));
  const stored = computed<SiteDocument | null>(() => copy.value?.document ?? null);
  const document = computed<SiteDocument | null>(() =>
    stored.value === null ? null : fill.value(stored.value),
  );
  const epoch = computed(() => copy.value?.served.epoch ?? '');

  function set(next: WorkingCopy): void {
    copy.value = next;
    if (siteKey.value !== null) connection.at(siteKey.value, next.served.revision);
  }

  /** Puts an edit into the outbox, where the postman takes it: whatever happens in between, one of them has it. */
  function post(edit: Edit): void {
    if (siteKey.value === null) return;
    void putInOutbox({ siteKey: siteKey.value, epoch: epoch.value, name: session.shownName, edit }).then(
      (isKept) => {
        isOutboxKept.value = isKept;
        connection.tell({ kind: 'put' });
      },
    );
  }

  return {
    siteKey,
    copy,
    edition,
    refusedEdits,
    news,
    isOutboxKept,
    loadProblem,
    fill,
    stored,
    document,
    epoch,
    set,
    post,
  };
}

/** What `openCopy` gives. */
export type OpenCopy = ReturnType<typeof openCopy>;
