import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Edit } from '@zorvik/core';
import type * as Outbox from '../src/api/outbox.ts';

const posted = (id: string): Outbox.Posted => {
  const sentence = { code: 'itemChanged', params: {} };
  const edit: Edit = {
    id,
    version: 1,
    base: 0,
    session: 'w000000000000001',
    group: null,
    undoes: null,
    sentence,
    operations: [],
  };
  return { siteKey: 'quillmere', epoch: 'e', name: 'Tess', edit };
};

/** The outbox as a window that has just been loaded has it. */
async function openedAnew(): Promise<typeof Outbox> {
  vi.resetModules();
  return import('../src/api/outbox.ts');
}

beforeEach(async () => {
  localStorage.clear();
  const { editsInOutbox, takeFromOutbox } = await openedAnew();
  await takeFromOutbox(new Set((await editsInOutbox('quillmere')).map(({ id }) => id)));
});

describe('what is put in as a window goes', () => {
  it('is not lost when the browser gives it up before it is committed, although it began before the window went', async () => {
    const { putInOutbox } = await openedAnew();
    const add = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('The window went.', 'AbortError');
    });
    const put = putInOutbox(posted('eone'));
    window.dispatchEvent(new Event('pagehide'));
    const { length } = localStorage;
    expect(length).toBe(1);
    const noted = { ...localStorage };
    await put;
    add.mockRestore();
    // The next window finds what was written at once.
    Object.entries(noted).forEach(([key, text]) => localStorage.setItem(key, text as string));
    const { editsInOutbox } = await openedAnew();
    expect((await editsInOutbox('quillmere')).map(({ id }) => id)).toEqual(['eone']);
    expect(localStorage.length).toBe(0);
  });

  it('is there once, and noted nowhere else, where it was committed after all', async () => {
    const { putInOutbox, editsInOutbox } = await openedAnew();
    const put = putInOutbox(posted('etwo'));
    window.dispatchEvent(new Event('pagehide'));
    expect(await put).toBe(true);
    expect(localStorage.length).toBe(0);
    window.dispatchEvent(new Event('pageshow'));
    await putInOutbox(posted('ethree'));
    expect(localStorage.length, 'the window stayed').toBe(0);
    expect((await editsInOutbox('quillmere')).map(({ id }) => id)).toEqual(['etwo', 'ethree']);
  });
});
