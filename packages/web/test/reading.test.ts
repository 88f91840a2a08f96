import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Reading } from '@zorvik/contract';
import {
  changeWords,
  placedByWords,
  readingCounts,
  templateWords,
} from '../src/composables/readingChanges.ts';
import { useReading } from '../src/stores/reading.ts';
import { useSites } from '../src/stores/sites.ts';
import { useWorkingCopy } from '../src/stores/workingCopy.ts';

const none = { added: 0, renamed: 0, moved: 0, readdressed: 0, gone: 0, facts: 0 };
const changes = { rows: [], left: 0 };
const found = {
  ...none,
  placedBy: { path: 2, breadcrumb: 7, none: 1 },
  templates: [],
  contradictions: [],
  contradicting: 0,
  changes,
};
const reading = (changes: object): Reading =>
  ({
    state: 'done',
    read: 10,
    waiting: 0,
    problems: [],
    reason: null,
    difference: found,
    plan: null,
    ...changes,
  }) as unknown as Reading;

let asked: { readonly path: string; readonly body: unknown }[];
let answers: (() => Response)[];
const reply = (status: number, body: unknown) => () =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => {
  setActivePinia(createPinia());
  asked = [];
  answers = [];
  vi.stubGlobal('fetch', (address: string, { body }: RequestInit = {}) => {
    asked.push({ path: String(address), body: typeof body === 'string' ? JSON.parse(body) : null });
    const answer = answers.shift();
    return answer === undefined ? Promise.reject(new TypeError('no network')) : Promise.resolve(answer());
  });
  useWorkingCopy().siteKey = 'quillmere';
});
afterEach(() => vi.unstubAllGlobals());

const choices = { missing: 'retire', trust: null } as const;

describe('reading the site', () => {
  it('says how far it is and what it would change, and when that is nothing', async () => {
    const site = useReading();
    expect([site.state, site.isRunning, site.difference]).toEqual(['none', false, null]);
    answers = [reply(200, reading({ state: 'running', difference: null }))];
    expect(await site.begin({ address: 'https://a.example/', pages: 5 })).toBe(true);
    expect([site.state, site.isRunning, site.difference]).toEqual(['running', true, null]);
    answers = [reply(200, reading({}))];
    expect(await site.look(choices)).toBe(true);
    expect([site.isRunning, site.isSame]).toEqual([false, true]);
    answers = [reply(200, reading({ difference: { ...found, moved: 1 } }))];
    await site.look({ missing: 'keep', trust: 'path' });
    expect([site.isSame, site.difference?.moved]).toEqual([false, 1]);
    expect(asked.map(({ path }) => path)).toEqual([
      '/api/v1/sites/quillmere/reading',
      '/api/v1/sites/quillmere/reading?missing=retire',
      '/api/v1/sites/quillmere/reading?missing=keep&trust=path',
    ]);
    expect(asked[0]?.body).toEqual({ address: 'https://a.example/', pages: 5 });
    useWorkingCopy().siteKey = 'another';
    expect([site.state, site.difference], 'another site has its own').toEqual(['none', null]);
  });

  it('keeps what is known when an answer fails, and says why', async () => {
    const site = useReading();
    answers = [reply(200, reading({ difference: { ...found, added: 2 } }))];
    await site.look(choices);
    expect(await site.look(choices)).toBe(false);
    expect([site.problem, site.difference?.added]).toEqual(['No connection. Try again in a moment.', 2]);
    const refused = { code: 'nothingRead', message: 'Nothing was read.', params: {} };
    answers = [reply(409, { error: refused })];
    expect(await site.take(choices)).toBe(false);
    expect(site.problem).toBe('Nothing was read.');
    answers = [reply(409, { error: refused })];
    expect(await site.steer('pause')).toBe(false);
    expect(asked.at(-1)?.body).toEqual({ act: 'pause' });
    answers = [reply(200, reading({ plan: null }))];
    expect(await site.plan({ address: 'https://a.example/', pages: 5 }, 'daily')).toBe(true);
    expect(asked.at(-1)?.body).toEqual({ address: 'https://a.example/', pages: 5, every: 'daily' });
  });
});

describe('what a reading found, in words', () => {
  it('is counted by kind, without those of which there is none', () => {
    expect(readingCounts({ ...found, added: 12, moved: 1, readdressed: 2 })).toEqual([
      '12 new',
      '1 moved',
      '2 with new addresses',
    ]);
    expect(readingCounts(found)).toEqual([]);
  });

  it('is told of each page in its place, and nothing of those that are only above one', () => {
    const row = { title: 'Mug', address: '/mugs/mug', depth: 2 };
    expect(changeWords({ ...row, isNew: true })).toBe('new');
    expect(changeWords({ ...row, wasUnder: 'Shop', wasTitle: 'Cup' })).toBe(
      'moved from “Shop”, renamed from “Cup”',
    );
    expect(changeWords({ ...row, isDeleted: true })).toBe('deleted');
    expect(changeWords({ ...row, wasAddress: '/shop/mug' })).toBe('address was /shop/mug');
    expect(changeWords(row)).toBe('');
  });

  it('says from what positions come, the most frequent first', () => {
    expect(placedByWords(found)).toMatch(/^7 from .+, 2 from .+, 1 unknown \(top level\)$/);
  });
});

describe('a new site that cannot be made', () => {
  it('says why, and that nothing was saved', async () => {
    const wanted = { name: 'New' };
    expect(await useSites().make(wanted)).toEqual({
      problem: 'No connection, so nothing was saved. Try again in a moment.',
    });
    answers = [reply(409, { error: { code: 'keyTaken', message: 'Taken.', params: {} } })];
    expect(await useSites().make(wanted)).toEqual({ problem: 'Taken.' });
    answers = [reply(201, { key: 'new' })];
    expect(await useSites().make(wanted)).toEqual({ value: { key: 'new' } });
  });

  it('name the templates that were guessed, with how certain each is', () => {
    const templates = [
      { name: 'product', pages: 103, sure: 95 },
      { name: 'page', pages: 1, sure: 40 },
    ];
    expect(templateWords({ templates })).toBe(
      'product (103 pages, 95 % certain), page (1 page, 40 % certain)',
    );
  });
});
