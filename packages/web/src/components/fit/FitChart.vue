<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { areaId, setPart, setSite, type Lane, type LaneStretch } from '@zorvik/core';
import {
  canBeMended,
  laneKind,
  laneName,
  problemWords,
  rangeWords,
  stateWords,
  tallWords,
  toneOf,
  type LaneTone,
} from '../../stores/laneWords.ts';
import { useDrawer } from '../../stores/drawer.ts';
import { useFit } from '../../stores/fit.ts';
import { useFitChecks } from '../../stores/fitChecks.ts';
import { useFitWork } from '../../stores/fitWork.ts';
import { NARROWEST, useLiveView, WIDEST } from '../../stores/liveView.ts';
import { useWorkingCopy } from '../../stores/workingCopy.ts';
import WidthMark from './WidthMark.vue';

/**
 * Everything of the page at every width: a lane for each bar, for what drops from it, for the side, the footer and the
 * drawer. A click, or the arrow keys, set the width of the picture; breakpoints and the takeover are dragged.
 */
const copy = useWorkingCopy();
const fit = useFit();
const work = useFitWork();
const checks = useFitChecks();
const live = useLiveView();
const drawer = useDrawer();
const chart = useTemplateRef<HTMLElement>('chart');
const SPAN = { least: NARROWEST, most: WIDEST };

interface Piece {
  readonly from: number;
  readonly to: number;
  readonly words: string;
  readonly tone: LaneTone;
  /** The words do not fit in it: they are said where it is pointed at, and to screen readers. */
  readonly isTight: boolean;
}
interface Row {
  readonly lane: Lane;
  readonly key: string;
  readonly name: string;
  readonly note: string;
  readonly isTrouble: boolean;
  /** What a band holds stands in from it, and what drops from a bar further in. */
  readonly depth: 0 | 1 | 2;
  readonly pieces: readonly Piece[];
  readonly spoken: string;
}

/** About how wide a letter of a stretch is, in px, and what is beside its words. */
const [LETTER, BESIDE] = [6.1, 14];
/** The px of the window that the chart has for its widths: enough to know which words fit. */
const room = computed(() => Math.max(200, live.windowWidth - 264));

const share = (px: number): number => ((px - NARROWEST) / (WIDEST - NARROWEST)) * 100;

/** Stretches with the same words as one. */
function piecesOf(stretches: readonly LaneStretch[]): Piece[] {
  const pieces: Piece[] = [];
  for (const { from, to, state } of stretches) {
    const [words, tone] = [stateWords(state), toneOf(state)];
    const before = pieces.at(-1);
    if (before?.words === words) pieces[pieces.length - 1] = { ...before, to };
    else pieces.push({ from, to, words, tone, isTight: false });
  }
  return pieces.map((one) => {
    const width = (share(one.to + 1) - share(one.from)) * 0.01 * room.value;
    return { ...one, isTight: one.words.length * LETTER + BESIDE > width };
  });
}

/** Which screens a dropdown, a panel or the drawer is taller than; null: none. */
function heightNote({ part, item }: Lane): string | null {
  const own = checks.tallAt(part, item);
  return own === null ? null : tallWords(own);
}

/** What a stretch says that is too short for its words: said beside the name of the lane. */
function odd(pieces: readonly Piece[]): string | null {
  const found = pieces.find(({ isTight, tone }) => isTight && tone === 'does');
  return found === undefined ? null : `${found.words} ${rangeWords(found, SPAN)}`;
}

const rows = computed((): Row[] => {
  const { document } = copy;
  if (document === null) return [];
  return fit.lanes.map((lane) => {
    const { of, part, item, stretches } = lane;
    const pieces = piecesOf(stretches ?? []);
    const own = work.shownProblems.filter((one) => one.part === part && one.item === item);
    const [worst] = own;
    const more = own.length > 1 ? ` and ${own.length - 1} more` : '';
    return {
      lane,
      key: `${of} ${part} ${item ?? ''}`,
      name: laneName(document, lane),
      note:
        stretches === null
          ? 'only a browser can measure this band'
          : worst === undefined
            ? (heightNote(lane) ?? odd(pieces) ?? laneKind(lane))
            : `${problemWords(worst)}, ${worst.from} to ${worst.to} px${more}`,
      isTrouble: worst !== undefined,
      depth: item !== undefined ? 2 : of === 'bar' ? 1 : 0,
      pieces,
      spoken: pieces.map(({ from, to, words }) => `${rangeWords({ from, to }, SPAN)}: ${words}`).join('; '),
    };
  });
});

const ticks = computed(() => {
  const { medium, wide } = live.breakpoints;
  const near = [medium, wide, live.width];
  return [320, 480, 640, 960, 1280, 1440, 1680, 1920].filter((px) =>
    near.every((one) => Math.abs(one - px) * (room.value / (WIDEST - NARROWEST)) > 46),
  );
});
const takeover = computed(() =>
  drawer.isThere && typeof drawer.takeover === 'number' ? drawer.takeover : null,
);

function isChosen(lane: Lane): boolean {
  return canBeMended(lane) && fit.chosen?.part === lane.part && fit.chosen.item === lane.item;
}
function choose(lane: Lane): void {
  const { part, item } = lane;
  fit.chosen = canBeMended(lane) ? { part, ...(item === undefined ? {} : { item }) } : null;
}

function pxAt(event: PointerEvent): number {
  const box = chart.value?.getBoundingClientRect();
  if (box === undefined || box.width === 0) return live.width;
  const px = NARROWEST + ((event.clientX - box.left) / box.width) * (WIDEST - NARROWEST);
  return Math.round(Math.min(WIDEST, Math.max(NARROWEST, px)));
}
function point(event: PointerEvent): void {
  if (event.button === 0) live.width = pxAt(event);
}
function follow(event: PointerEvent): void {
  if (event.buttons === 1) live.width = pxAt(event);
}
function press(event: KeyboardEvent): void {
  const step = { ArrowLeft: -1, ArrowRight: 1, PageDown: -50, PageUp: 50 }[event.key];
  const to = event.key === 'Home' ? NARROWEST : event.key === 'End' ? WIDEST : null;
  if (step === undefined && to === null) return;
  event.preventDefault();
  const next = to ?? live.width + (step ?? 0) * (event.shiftKey ? 10 : 1);
  live.width = Math.min(WIDEST, Math.max(NARROWEST, next));
}

function setBreakpoint(name: 'medium' | 'wide', px: number, group: string): void {
  const next = { ...live.breakpoints, [name]: px };
  if (next.medium < next.wide) copy.perform((context) => setSite(context, { breakpoints: next }), group);
}
function setTakeover(px: number, group: string): void {
  const own = px === live.breakpoints.medium ? null : px;
  copy.perform((context) => setPart(context, areaId('drawer'), { takeover: own }), group);
}
</script>

<template>
  <section class="chart" aria-label="Every width">
    <div class="axis">
      <span class="left mute">px</span>
      <div ref="chart" class="scale" @pointerdown="point" @pointermove="follow">
        <span
          v-for="px in ticks"
          :key="px"
          class="tick number"
          :style="{ insetInlineStart: `${share(px)}%` }"
        >
          {{ px }}
        </span>
        <span
          class="here number"
          role="slider"
          tabindex="0"
          aria-label="Width of the page in pixels"
          :aria-valuenow="live.width"
          :aria-valuemin="NARROWEST"
          :aria-valuemax="WIDEST"
          :style="{ insetInlineStart: `${share(live.width)}%` }"
          @keydown="press"
        >
          {{ live.width }}
        </span>
        <WidthMark
          name="medium"
          :px="live.breakpoints.medium"
          :least="NARROWEST + 1"
          :most="live.breakpoints.wide - 1"
          @move="(px: number, group: string) => setBreakpoint('medium', px, group)"
        />
        <WidthMark
          name="wide"
          :px="live.breakpoints.wide"
          :least="live.breakpoints.medium + 1"
          :most="WIDEST"
          @move="(px: number, group: string) => setBreakpoint('wide', px, group)"
        />
      </div>
    </div>
    <div class="lanes">
      <div
        v-for="row in rows"
        :key="row.key"
        class="lane"
        :class="{ on: isChosen(row.lane), [`depth-${row.depth}`]: true }"
      >
        <button type="button" class="left" :aria-pressed="isChosen(row.lane)" @click="choose(row.lane)">
          <b>{{ row.name }}</b>
          <small :class="{ trouble: row.isTrouble }" :title="row.note">{{ row.note }}</small>
          <span class="only-heard">{{ row.spoken }}</span>
        </button>
        <div class="track" @pointerdown="point" @pointermove="follow" @click="choose(row.lane)">
          <i
            v-for="piece in row.pieces"
            aria-hidden="true"
            :key="piece.from"
            :class="piece.tone"
            :title="`${rangeWords(piece, SPAN)}: ${piece.words}`"
            :style="{
              insetInlineStart: `${share(piece.from)}%`,
              inlineSize: `${share(piece.to + 1) - share(piece.from)}%`,
            }"
          >
            <span v-if="!piece.isTight">{{ piece.words }}</span>
          </i>
          <WidthMark
            v-if="row.lane.of === 'drawer' && takeover !== null"
            name="takeover"
            :px="takeover"
            :least="NARROWEST"
            :most="WIDEST"
            is-inside
            @move="setTakeover"
          />
        </div>
      </div>
      <p v-if="rows.length === 0" class="none mute">
        {{
          fit.isKnown
            ? 'This page has no menu in its header, side or footer yet. Add one in Frame.'
            : 'Measuring …'
        }}
      </p>
    </div>
    <span class="line" aria-hidden="true" :style="{ '--at': share(live.width) / 100 }" />
  </section>
</template>

<style scoped>
.chart {
  --left: 214px;
  position: relative;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  padding-inline: 14px 20px;
}
.axis,
.lane {
  display: grid;
  grid-template-columns: var(--left) minmax(0, 1fr);
}
.axis > .left {
  align-self: end;
  padding-block-end: 5px;
  font-size: 0.75rem;
  text-align: end;
  padding-inline-end: 22px;
}
.scale {
  position: relative;
  height: 30px;
  cursor: col-resize;
  touch-action: none;
}
.tick,
.here {
  position: absolute;
  inset-block-end: 5px;
  translate: -50%;
  color: var(--mute);
  font-size: 0.75rem;
  pointer-events: none;
}
.here {
  padding-inline: 3px;
  border-radius: 4px;
  background: var(--paper);
  color: var(--accent);
  font-weight: 650;
  z-index: 3;
}
.lanes {
  overflow: hidden auto;
  scrollbar-gutter: stable;
  margin-inline-end: -15px;
  padding-inline-end: 0;
}
.lane {
  border-block-start: 1px solid var(--line-soft);
}
.left {
  display: grid;
  align-content: center;
  min-width: 0;
  min-height: 30px;
  padding: 0 8px 0 0;
  border: 0;
  background: none;
  text-align: start;
}
button.left {
  cursor: pointer;
}
.left > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.left b {
  font-size: 0.8125rem;
  font-weight: 600;
  line-height: 1.15;
}
.left small {
  color: var(--mute);
  font-size: 0.6875rem;
  line-height: 1.2;
}
.left small.trouble {
  color: var(--ochre);
}
.depth-1 .left {
  padding-inline-start: 8px;
}
.depth-2 .left {
  padding-inline-start: 12px;
}
.depth-2 .left b {
  font-weight: 500;
}
.on .left b {
  color: var(--accent);
}
.on {
  background: var(--accent-veil);
}
.track {
  position: relative;
  margin-block: 4px;
  cursor: col-resize;
}
.track > i {
  position: absolute;
  inset-block: 1px;
  box-sizing: border-box;
  overflow: hidden;
  border-inline-start: 3px solid var(--line-strong);
  padding-inline: 5px 2px;
  color: var(--ink);
  font-size: 0.6875rem;
  font-style: normal;
  line-height: 20px;
  white-space: nowrap;
}
.track i > span {
  padding-inline: 2px;
  background: inherit;
  background-image: none;
}
.fine {
  background-color: var(--moss-tint);
}
.plain {
  background: var(--paper-deep);
  color: var(--mute) !important;
}
.does {
  background-color: var(--moss-tint);
  background-image: repeating-linear-gradient(90deg, var(--moss-line) 0 1px, transparent 1px 9px);
}
.look {
  background-color: var(--ochre-tint);
  background-image: repeating-linear-gradient(-45deg, var(--ochre-line) 0 2px, transparent 2px 8px);
  border-color: var(--ochre) !important;
}
.broken {
  background-color: var(--brick-tint);
  background-image: repeating-linear-gradient(45deg, var(--brick) 0 2px, transparent 2px 6px);
  border-color: var(--brick) !important;
}
.none {
  padding-block: 14px;
}
.line {
  position: absolute;
  inset-block: 26px 0;
  inset-inline-start: calc(14px + var(--left) + (100% - 34px - var(--left)) * var(--at));
  border-inline-start: 1px dashed var(--accent);
  pointer-events: none;
}
@media (max-width: 760px) {
  .chart {
    --left: 110px;
  }
}
</style>
