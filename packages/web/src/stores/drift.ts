import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  byCause,
  counted,
  leaveFinding,
  mendDrift,
  safeMends,
  takeUpFinding,
  type Cause,
  type Finding,
  type Id,
  type MendKind,
  type ToMend,
} from '@zorvik/core';
import { driftClient, type DriftClient, type LeftFinding } from '../workers/driftClient.ts';
import { routes } from '@zorvik/contract';
import { ask, problemOf } from '../api/client.ts';
import { useNotices } from './notices.ts';
import { useSelection } from './selection.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** How long nothing must change until drift is looked for again, in ms. */
const SETTLING = 150;

/** Where menus and pages no longer agree: told by a worker, a moment after each change. */
export const useDrift = defineStore('drift', () => {
  const copy = useWorkingCopy();
  const selection = useSelection();
  const notices = useNotices();
  const open = shallowRef<readonly Finding[]>([]);
  const left = shallowRef<readonly LeftFinding[]>([]);
  const isKnown = ref(false);
  const chosenId = ref<string | null>(null);
  /**
   * Addresses outside the site that were asked for and do not answer: known until the page is loaded anew.
   */
  const dead = shallowRef<ReadonlyMap<string, string>>(new Map());
  const isChecking = ref(false);
  let client: DriftClient | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function look(): Promise<void> {
    const { stored } = copy;
    if (stored === null) return;
    client ??= driftClient();
    const found = await client.look(stored, dead.value);
    // What changed meanwhile is looked at again anyway: an older answer would bring back what was just fixed.
    if (found === null || copy.stored !== stored) return;
    open.value = found.open;
    left.value = found.left;
    isKnown.value = true;
  }

  watch(
    () => copy.stored,
    (now, before) => {
      clearTimeout(timer);
      if (now?.site.id !== before?.site.id) {
        open.value = [];
        left.value = [];
        dead.value = new Map();
        isKnown.value = false;
      }
      if (now !== null) timer = setTimeout(() => void look(), SETTLING);
    },
    { immediate: true },
  );

  /** Asks the server for all outside links of all menus. */
  async function checkLinks(): Promise<void> {
    isChecking.value = true;
    const answer = await ask(routes.checkLinks, { params: { siteKey: copy.siteKey ?? '' } });
    isChecking.value = false;
    if (answer.kind !== 'reply') return notices.refuse(problemOf(answer));
    dead.value = new Map(answer.value.dead.map(({ address, reason }) => [address, reason]));
    notices.say(
      `Checked ${counted(answer.value.asked, '# external link', '# external links')}: ${dead.value.size === 0 ? 'all work' : counted(dead.value.size, '# does not work', '# do not work')}`,
    );
    await look();
  }

  const all = computed(() => (copy.document === null ? [] : byCause(copy.document, open.value)));
  const counts = computed(() => {
    const found = new Map<Id, number>();
    for (const {
      findings: [{ menu }],
    } of all.value)
      found.set(menu, (found.get(menu) ?? 0) + 1);
    return found;
  });
  /** What there is in all menus and in the frame, by cause. */
  const total = computed(() => all.value.length);
  /** Those of the menu that is shown: the urgent ones first, those with one cause together. */
  const causes = computed(() =>
    all.value.filter(({ findings: [first] }) => first.menu === selection.menu?.id),
  );
  const findings = computed(() => causes.value.flatMap((one) => one.findings));
  /** The causes of several findings whose parts are shown. */
  const unfolded = ref<ReadonlySet<string>>(new Set());
  function fold(cause: Cause, isOpen: boolean): void {
    const others = [...unfolded.value].filter((key) => key !== cause.key);
    unfolded.value = new Set(isOpen ? [...others, cause.key] : others);
  }
  /** What the keys go through: of a cause whose parts are not shown, the first. */
  const stops = computed(() =>
    causes.value.flatMap((one) => (unfolded.value.has(one.key) ? one.findings : one.findings.slice(0, 1))),
  );
  /** A cause of several findings of which this one stands for all; null: it stands for itself. */
  function standsFor(finding: Finding): Cause | null {
    const cause = causes.value.find(({ findings: some }) => some.includes(finding));
    return cause === undefined || cause.findings.length === 1 || unfolded.value.has(cause.key) ? null : cause;
  }
  /** The likely mend of all findings of a cause. */
  function mendCause(cause: Cause): void {
    mend(
      cause.findings.flatMap((finding) =>
        finding.mends.slice(0, 1).map(({ kind }) => ({ finding, mend: kind })),
      ),
    );
  }
  /** Those of links in the frame. */
  const inFrame = computed(() => open.value.filter(({ isInFrame }) => isInFrame === true));
  const leftHere = computed(() => left.value.filter(({ finding }) => finding.menu === selection.menu?.id));
  const chosen = computed(
    () => findings.value.find(({ id }) => id === chosenId.value) ?? findings.value[0] ?? null,
  );
  const safe = computed(() => safeMends(findings.value));

  /** Does mends as one edit; what is chosen next is what stands where the last one stood. */
  function mend(wanted: readonly ToMend[]): void {
    const at = findings.value.findIndex(({ id }) => id === wanted[0]?.finding.id);
    const gone = new Set(wanted.map(({ finding }) => finding.id));
    const done = copy.perform((context) => mendDrift(context, wanted));
    if (done.ok) chooseNear(at, gone);
  }

  function chooseNear(at: number, gone: ReadonlySet<string>): void {
    const next =
      findings.value.slice(at).find(({ id }) => !gone.has(id)) ??
      findings.value.slice(0, at).findLast(({ id }) => !gone.has(id));
    chosenId.value = next?.id ?? null;
    // They are taken away at once; the worker confirms it.
    open.value = open.value.filter(({ id }) => !gone.has(id));
  }

  function mendOne(finding: Finding, kind: MendKind): void {
    mend([{ finding, mend: kind }]);
  }

  /** The likely mend of each of the same kind. */
  function mendKind(kind: Finding['kind']): void {
    mend(
      findings.value
        .filter((one) => one.kind === kind)
        .flatMap((finding) => finding.mends.slice(0, 1).map((one) => ({ finding, mend: one.kind }))),
    );
  }

  function leave(finding: Finding, reason: string): boolean {
    const at = findings.value.findIndex(({ id }) => id === finding.id);
    const done = copy.perform((context) => leaveFinding(context, [finding], reason));
    if (done.ok) chooseNear(at, new Set([finding.id]));
    return done.ok;
  }

  function takeUp(id: string): void {
    copy.perform((context) => takeUpFinding(context, id));
  }

  function step(by: 1 | -1): void {
    const at = stops.value.findIndex(({ id }) => id === chosen.value?.id);
    chosenId.value = stops.value[Math.max(0, Math.min(at + by, stops.value.length - 1))]?.id ?? null;
  }

  return {
    isChecking,
    checkLinks,
    open,
    left,
    isKnown,
    all,
    counts,
    total,
    causes,
    unfolded,
    fold,
    standsFor,
    mendCause,
    inFrame,
    findings,
    leftHere,
    chosen,
    chosenId,
    safe,
    mend,
    mendOne,
    mendKind,
    leave,
    takeUp,
    step,
  };
});
