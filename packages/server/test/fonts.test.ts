import { readFileSync } from 'node:fs';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  addFont,
  addFontFiles,
  filesIn,
  readStored,
  removeToken,
  setLooks,
  toStored,
  type CommandContext,
  type Edit,
  type FontFile,
  type Result,
} from '@zorvik/core';
import { applied as appliedTo, contextOf, outlined } from '@zorvik/core/testing';
import { makeFont } from '../src/editing/makeFont.ts';
import { sweepFiles } from '../src/editing/sweepFiles.ts';
import { testServer, type TestServer } from './testServer.ts';

/** Fonts that come with Zorvik, as somebody would upload them. */
const fontAt = (family: string, part = 'latin'): Buffer =>
  readFileSync(
    new URL(
      `../../../node_modules/@fontsource-variable/${family}/files/${family}-${part}-wght-normal.woff2`,
      import.meta.url,
    ),
  );
const site = '/api/v1/sites/meadow';
let server: TestServer;
beforeAll(async () => {
  server = await testServer(toStored(outlined('Seeds > /seeds').document));
});
afterAll(() => server.close());

const send = (bytes: Buffer) =>
  request(server.app).post(`${site}/fonts`).set('Content-Type', 'application/octet-stream').send(bytes);
const kept = async (bytes: Buffer): Promise<{ font: FontFile; looksLike: 'sans' | 'serif' | 'mono' }> =>
  (await send(bytes).expect(201)).body as { font: FontFile; looksLike: 'sans' | 'serif' | 'mono' };
async function perform(command: (context: CommandContext) => Result<Edit>): Promise<void> {
  const { body } = await request(server.app).get(site);
  const revision = body.revision as number;
  const document = readStored(body.document as { format: number });
  const edit = command({ ...contextOf(document, revision + 100), base: revision });
  if (!edit.ok) throw new Error(edit.refusal.message);
  await request(server.app).post(`${site}/edits`).send(edit.value).expect(200);
}
async function publish(): Promise<void> {
  const { body } = await request(server.app).get(site);
  await request(server.app)
    .post(`${site}/editions`)
    .send({ note: '', revision: body.revision as number })
    .expect(201);
}
const delivered = (path: string): request.Test =>
  request(server.app).get(`/delivery/v1/sites/meadow/${path}`).buffer(true);

describe('a font that is uploaded', () => {
  it('is read: its weights, its metrics, what it looks like; and kept once', async () => {
    const figtree = await kept(fontAt('figtree'));
    expect(figtree.looksLike).toBe('sans');
    expect(figtree.font).toMatchObject({ weight: '300 900', bytes: fontAt('figtree').length });
    expect(figtree.font.ascent).toBeGreaterThan(700);
    expect(figtree.font.width).toBeGreaterThan(400);
    const classes = {
      commissioner: 'sans',
      'work-sans': 'sans',
      literata: 'serif',
      fraunces: 'serif',
      bitter: 'serif',
    };
    for (const [family, like] of Object.entries(classes))
      expect((await kept(fontAt(family))).looksLike, family).toBe(like);
    expect(figtree.font.family).toBe('Figtree');
    expect(await kept(fontAt('figtree'))).toEqual(figtree);
    const file = await request(server.app).get(`${site}/pictures/${figtree.font.file}.woff2`).expect(200);
    expect(file.headers['content-type']).toBe('font/woff2');
    expect(file.headers['access-control-allow-origin']).toBe('*');
  });

  it('is published with what stands in for it, and only where it is used', async () => {
    const [latin, more] = [await kept(fontAt('literata')), await kept(fontAt('literata', 'latin-ext'))];
    const files = [latin.font, { ...more.font, range: 'U+0100-02BA' }];
    await perform((context) => addFont(context, 'Literata', { files, looksLike: latin.looksLike }));
    await publish();
    expect((await delivered('navigation.css')).text).not.toContain('@font-face');
    await perform((context) =>
      setLooks(context, { owner: context.document.site.id, thing: 'entry' }, { fontFamily: '@literata' }),
    );
    await publish();
    const css = (await delivered('navigation.css')).text;
    const [, address = ''] = /url\((.*?)pictures\//.exec(css) ?? [];
    expect(address).toMatch(/^http:.*\/delivery\/v1\/sites\/meadow\/$/);
    expect(css).toContain(
      `@font-face{font-family:zv-literata;src:url(${address}pictures/${latin.font.file}.woff2) format("woff2");font-weight:200 900;font-style:normal;font-display:optional}`,
    );
    expect(css).toContain('unicode-range:U+0100-02BA}');
    expect(css).toMatch(
      /font-family:zv-literata-stand-in;src:local\("Times New Roman"\).*;size-adjust:1\d\d(?:\.\d+)?%;ascent-override:/,
    );
    expect(css).toContain('--zv-t-literata:zv-literata,zv-literata-stand-in,serif');
    await delivered(`pictures/${more.font.file}.woff2`)
      .expect(200)
      .expect('content-type', 'font/woff2')
      .expect('cache-control', 'public, max-age=31536000, immutable');
  });

  it('stays as long as anything names it, and is swept after that', async () => {
    const { font, looksLike } = await kept(fontAt('bitter'));
    await perform((context) => addFont(context, 'Bitter', { files: [font], looksLike }));
    const unused = await kept(fontAt('work-sans'));
    const siteId = ((await request(server.app).get(site)).body as { document: { site: { id: string } } })
      .document.site.id;
    await sweepFiles(server.deps, siteId, '2099-01-01T00:00:00Z');
    await request(server.app).get(`${site}/pictures/${font.file}.woff2`).expect(200);
    await request(server.app).get(`${site}/pictures/${unused.font.file}.woff2`).expect(404);
    await perform((context) => removeToken(context, { key: 'bitter', of: 'font' }));
    // Undo may still bring it back.
    await sweepFiles(server.deps, siteId, '2099-01-01T00:00:00Z');
    await request(server.app).get(`${site}/pictures/${font.file}.woff2`).expect(200);
  });

  it('gets other weights, each in the place of one like it', () => {
    const { document } = outlined('Seeds');
    const of = (file: string, weight: string): FontFile => ({
      file: file.repeat(32),
      family: 'X',
      weight,
      bytes: 9,
      ascent: 900,
      descent: 200,
      gap: 0,
      width: 480,
    });
    const apply = (before: typeof document, made: Result<Edit>): typeof document => {
      if (!made.ok) throw new Error(made.refusal.message);
      return made.value.operations.reduce(appliedTo, before);
    };
    const first = apply(
      document,
      addFont(contextOf(document), 'X', { files: [of('a', '400')], looksLike: 'sans' }),
    );
    const second = apply(first, addFontFiles(contextOf(first), 'x', [of('b', '700'), of('c', '400')]));
    expect([...filesIn(second)].sort()).toEqual(['b'.repeat(32), 'c'.repeat(32)]);
    const many = Array.from({ length: 25 }, (_, at) => of('d', String(100 + at)));
    const refused = addFontFiles(contextOf(second), 'x', many);
    expect(refused.ok ? '' : refused.refusal.message).toContain('24 files at most');
  });

  const header = (change: (bytes: Buffer) => void): Buffer => {
    const bytes = Buffer.from(fontAt('figtree'));
    change(bytes);
    return bytes;
  };
  it.each([
    ['nothing', Buffer.alloc(0), 'the file is empty'],
    ['a text', Buffer.from('not a font, although it is long enough to be looked at'), 'it is no WOFF2 file'],
    ['an older font', Buffer.from(`wOFF${'\0'.repeat(60)}`), 'it is WOFF 1'],
    ['a plain font', Buffer.from(`OTTO${'\0'.repeat(60)}`), 'it is not compressed as WOFF2'],
    ['half a font', fontAt('figtree').subarray(0, 9000), 'it is not complete'],
    ['a bomb', header((bytes) => bytes.writeUInt32BE(900_000_000, 16)), 'it unpacks to more than 24 MB'],
    ['too many tables', header((bytes) => bytes.writeUInt16BE(9000, 12)), 'it has more than 64 tables'],
    ['spoilt content', header((bytes) => bytes.fill(7, 200, 9000)), 'it cannot be read'],
  ])('is refused where it is %s, and nothing is kept', async (_, bytes, problem) => {
    const made = await makeFont(bytes);
    expect(made.ok ? '' : made.refusal.message).toContain(problem);
    const { body } = await send(bytes).expect(422);
    expect((body as { error: { message: string } }).error.message).toContain(problem);
  });

  it('is refused where it is too large', async () => {
    const { body } = await send(Buffer.alloc(2_200_000)).expect(422);
    expect((body as { error: { message: string } }).error.message).toContain('it is larger than 2 MB');
  });
});
