import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createApp, defineComponent, h, ref, type App } from 'vue';
import { historyDays } from '../src/composables/historyDays.ts';
import { TYPING_PAUSE, useTyping, type Typing } from '../src/composables/useTyping.ts';
import { useNotices } from '../src/stores/notices.ts';

/** A field over a value that others may change, too; `keeps` is all that was kept. */
function field(refuses: (typed: string) => string | null = () => null) {
  const value = ref('Seeds');
  const keeps: string[] = [];
  let typing!: Typing;
  const component = defineComponent({
    setup() {
      typing = useTyping({
        value: () => value.value,
        keep(typed, isFinal) {
          const reason = refuses(typed);
          if (reason !== null) return isFinal ? reason : null;
          keeps.push(typed);
          value.value = typed;
          return null;
        },
      });
      return () => h('div');
    },
  });
  const pinia = createPinia();
  setActivePinia(pinia);
  const app: App = createApp(component).use(pinia);
  app.mount(document.createElement('div'));
  const type = (text: string): void => {
    typing.begin();
    typing.typed.value = text;
    typing.input();
  };
  return { value, keeps, typing, type, unmount: () => app.unmount() };
}

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('typing', () => {
  it('keeps what is typed after a pause, on leaving and when the window is closed, and never while an input method composes', () => {
    const { keeps, typing, type } = field();
    type('Seeds a');
    vi.advanceTimersByTime(TYPING_PAUSE - 1);
    expect(keeps).toEqual([]);
    type('Seeds and');
    vi.advanceTimersByTime(TYPING_PAUSE - 1);
    expect(keeps, 'who goes on typing has not paused').toEqual([]);
    vi.advanceTimersByTime(1);
    expect(keeps).toEqual(['Seeds and']);
    typing.composing(true);
    type('Seeds and 種');
    vi.advanceTimersByTime(10 * TYPING_PAUSE);
    window.dispatchEvent(new Event('pagehide'));
    expect(keeps, 'half a word is none').toEqual(['Seeds and']);
    typing.composing(false);
    vi.advanceTimersByTime(TYPING_PAUSE);
    expect(keeps.at(-1)).toBe('Seeds and 種');
    type('Seeds and bulbs');
    expect(typing.end()).toBe(true);
    expect(keeps.at(-1)).toBe('Seeds and bulbs');
    type('Seeds, bulbs');
    window.dispatchEvent(new Event('pagehide'));
    expect(keeps.at(-1)).toBe('Seeds, bulbs');
  });

  it('says no only when it is left: while one types, what is not right yet is no mistake', () => {
    const { keeps, typing, type } = field((typed) => (typed === '' ? 'A name needs a character.' : null));
    type('');
    vi.advanceTimersByTime(TYPING_PAUSE);
    expect([typing.problem.value, keeps]).toEqual([null, []]);
    expect(typing.end()).toBe(false);
    expect([typing.problem.value, typing.typed.value]).toEqual(['A name needs a character.', '']);
  });

  it('gives back what was there, with what was kept in pauses', () => {
    const { value, keeps, typing, type } = field();
    type('Something else');
    vi.advanceTimersByTime(TYPING_PAUSE);
    type('Something else again');
    expect(typing.giveBack()).toBe(true);
    expect([value.value, typing.typed.value, keeps]).toEqual(['Seeds', 'Seeds', ['Something else', 'Seeds']]);
    expect(typing.giveBack(), 'there is nothing more to give back').toBe(false);
  });

  it('goes on when somebody else changes the same, and says so', async () => {
    const { value, typing, type } = field();
    type('Mine');
    value.value = 'Theirs';
    await vi.waitFor(() => expect(typing.meanwhile.value).toBe('Theirs'));
    expect(typing.typed.value).toBe('Mine');
    typing.giveBack();
    expect(value.value, 'what the other did is not given back').toBe('Theirs');
  });

  it('loses nothing when its place goes away: what cannot be kept any more is told', () => {
    const gone = field(() => 'This item is no longer there.');
    gone.type('Typed for nothing');
    gone.unmount();
    expect(useNotices().refused).toBe(
      'This item is no longer there. What you typed was: “Typed for nothing”.',
    );
    const there = field();
    there.type('Typed in time');
    there.unmount();
    expect(there.keeps).toEqual(['Typed in time']);
  });
});

describe('the history in words', () => {
  const line = (
    revision: number,
    sentence: { code: 'itemRenamed' | 'itemReordered'; params: Record<string, string> },
    group: string | null,
    session = 'w1',
  ) => ({
    id: `e${revision}`,
    revision,
    at: `2026-11-2${revision > 4 ? 3 : 2}T10:0${revision}:00.000Z`,
    actor: session === 'w1' ? 'Noor' : 'Sam',
    session,
    group,
    undoes: null,
    sentence,
  });
  const renamed = (was: string, label: string) => ({ code: 'itemRenamed' as const, params: { was, label } });
  const moved = { code: 'itemReordered' as const, params: { label: 'Pots', parent: 'Shop' } };

  it('tells a burst once: what typing came to, and how often the same was done', () => {
    const lines = [
      line(7, moved, 'g2'),
      line(6, moved, 'g2'),
      line(5, renamed('Seeds', 'Bulbs'), null, 'w2'),
      line(3, renamed('Se', 'Seeds'), 'g1'),
      line(2, renamed('Old', 'Se'), 'g1'),
    ];
    const days = historyDays(
      lines,
      'w1',
      (at) => at.toISOString().slice(11, 16),
      (at) => at.toISOString().slice(0, 10),
    );
    expect(
      days.map(({ day, entries }) => [
        day,
        ...entries.map(({ words, who, isMine, time }) => `${time} ${words} (${isMine ? 'you' : who})`),
      ]),
    ).toEqual([
      [
        '2026-11-23',
        '10:07 Moved “Pots” within “Shop”, 2 times (you)',
        '10:05 Renamed “Seeds” to “Bulbs” (Sam)',
      ],
      ['2026-11-22', '10:03 Renamed “Old” to “Seeds” (you)'],
    ]);
    expect(days[0]?.entries[0]?.revision, 'one goes back to its end').toBe(7);
  });
});
