import 'fake-indexeddb/auto';
import * as mdi from '@mdi/js';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { companyMarks } from '../companyMarks.ts';
import { usualIcons } from '../src/components/common/usualIcons.ts';
import { COLUMN, columnWidth } from '../src/composables/spread.ts';
import { useAppearance } from '../src/stores/appearance.ts';
import { useLiveView } from '../src/stores/liveView.ts';

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});

describe('the icon picker', () => {
  it('starts with about forty icons that exist, none of which is the mark of a company', () => {
    const keyOf = (name: string): string =>
      `mdi${name.replaceAll(/(?:^|-)(\w)/g, (_, letter: string) => letter.toUpperCase())}`;
    expect(usualIcons.length).toBeGreaterThanOrEqual(38);
    expect(usualIcons.length).toBeLessThanOrEqual(48);
    expect(usualIcons.filter((name) => !Object.hasOwn(mdi, keyOf(name)))).toEqual([]);
    expect(usualIcons.filter((name) => companyMarks.has(name))).toEqual([]);
    expect([...companyMarks].filter((name) => !Object.hasOwn(mdi, keyOf(name)))).toEqual([]);
  });
});

describe('columns', () => {
  it('share the room there is, within bounds, and never get narrower than their least', () => {
    expect(columnWidth(1252, 6)).toBe(208);
    expect(columnWidth(1890, 6)).toBe(315);
    expect(columnWidth(1890, 2)).toBe(320);
    expect(columnWidth(360, 6)).toBe(COLUMN);
    expect(columnWidth(1000, 0)).toBe(320);
  });
});

describe('the theme', () => {
  it('is the system’s until somebody chooses, is remembered, and follows a choice in another window', async () => {
    const system = { matches: true, listeners: [] as ((event: { matches: boolean }) => void)[] };
    vi.stubGlobal('matchMedia', () => ({
      matches: system.matches,
      addEventListener: (_: string, listen: (event: { matches: boolean }) => void) =>
        system.listeners.push(listen),
    }));
    const appearance = useAppearance();
    expect(document.documentElement.dataset.theme).toBe('dark');
    system.listeners.forEach((listen) => listen({ matches: false }));
    await nextTick();
    expect(document.documentElement.dataset.theme).toBe('light');
    appearance.choose('dark');
    await nextTick();
    expect([document.documentElement.dataset.theme, localStorage.getItem('zorvik-appearance')]).toEqual([
      'dark',
      'dark',
    ]);
    window.dispatchEvent(new StorageEvent('storage', { key: 'zorvik-appearance', newValue: 'nonsense' }));
    await nextTick();
    expect(appearance.chosen).toBe('system');
    vi.unstubAllGlobals();
  });
});

describe('the height of the live header', () => {
  it('is the header’s own in a low window, more where there is room, and what somebody drags it to, within bounds', () => {
    const resizeTo = (height: number): void => {
      vi.stubGlobal('innerHeight', height);
      window.dispatchEvent(new Event('resize'));
    };
    const live = useLiveView();
    resizeTo(800);
    expect(live.height).toBe(live.lowest);
    resizeTo(1080);
    expect(live.height).toBeGreaterThan(300);
    live.dragTo(5000);
    expect(live.height).toBe(live.highest);
    live.dragTo(-5);
    expect(live.height).toBe(live.lowest);
    live.dragTo(live.lowest + 40);
    setActivePinia(createPinia());
    expect(useLiveView().height).toBe(live.lowest + 40);
    useLiveView().resetHeight();
    expect(localStorage.getItem('zorvik-live-height')).toBeNull();
    vi.unstubAllGlobals();
  });

  it('forgets a height that is none', () => {
    localStorage.setItem('zorvik-live-height', 'NaN');
    expect(Number.isFinite(useLiveView().height)).toBe(true);
  });
});
