import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { toStored } from '@zorvik/core';
import { outlined } from '@zorvik/core/testing';
import { sweepDeleted } from '../src/editing/deleteSite.ts';
import { editOf, testServer, type TestServer } from './testServer.ts';

const start = outlined('Shop > /shop\nHelp > /help', '/ Home\n/shop Shop\n  /shop/mugs Mugs\n/help Help');
const [item = ''] = start.document.items.nodes.keys();
const DAY = 86_400_000;
let now = new Date('2026-11-23T10:00:00Z');
let server: TestServer;
beforeAll(async () => {
  server = await testServer(toStored(start.document), { now: () => now });
});
afterAll(() => server.close());

const api = '/api/v1/sites/meadow';
const made = async (): Promise<string> =>
  (
    (await request(server.app).post(`${api}/previews`).send({ name: 'Noor' }).expect(201)).body as {
      token: string;
    }
  ).token;
const look = (token: string, path = '/') => request(server.app).get(`/preview/${token}${path}`);
const rename = async (base: number, label: string, was: string): Promise<void> => {
  const operation = { kind: 'updateItem', id: item, set: { label }, was: { label: was } } as const;
  await request(server.app)
    .post(`${api}/edits`)
    .send(editOf(base, [operation]))
    .expect(200);
};

describe('a preview', () => {
  it('shows the working copy as it is now, though nothing is published, and marks the page', async () => {
    const token = await made();
    const { text } = await look(token, '/shop/mugs')
      .expect(200)
      .expect('Content-Type', /text\/html/);
    expect(text).toContain('<h1>Mugs</h1>');
    expect(text).toContain(`<a aria-current="true" href="/preview/${token}/shop">Shop</a>`);
    expect(text).toContain('<strong>Draft</strong> not published · expires 24 Nov 2026, 10:00');
    await rename(0, 'Our shop', 'Shop');
    expect((await look(token, '/shop').expect(200)).text).toContain('>Our shop</a>');
    expect((await look(token, '/nowhere').expect(404)).text).toContain('<h1>No such page</h1>');
    await look(token, '/navigation.js')
      .expect(200)
      .expect('Content-Type', /javascript/);
  });

  it('leads to no page outside of it, is kept by nobody, and loads nothing from elsewhere', async () => {
    const token = await made();
    const { text, headers } = await look(token, '/?x=1').expect(200);
    const links = [...text.matchAll(/ (?:href|src|action)="([^"]*)"/g)].map(([, to = '']) => to);
    expect(
      links.filter((to) => !to.startsWith(`/preview/${token}/`) && to !== '#content' && to !== 'data:,'),
    ).toEqual([]);
    expect(headers).toMatchObject({
      'cache-control': 'no-store',
      'x-robots-tag': 'noindex, nofollow',
      'referrer-policy': 'no-referrer',
    });
    expect(headers['content-security-policy']).toContain("default-src 'none'");
    expect(headers['etag']).toBeUndefined();
    expect(text).toContain('<meta name="robots" content="noindex, nofollow">');
  });

  it('cannot be guessed, ends after a day, and at once when it is revoked', async () => {
    const [one, other] = [await made(), await made()];
    expect(one).toMatch(/^[\w-]{32}$/);
    expect(one).not.toBe(other);
    for (const token of ['x'.repeat(32), `${one.slice(1)}A`, '', '%', "'--"])
      expect((await request(server.app).get(`/preview/${token}`).expect(404)).text).toMatch(/no preview/);
    await request(server.app).post(`${api}/previews/revoke`).send({ token: one }).expect(200);
    await look(one).expect(404);
    await request(server.app).post(`${api}/previews/revoke`).send({ token: one }).expect(404);
    await look(other).expect(200);
    now = new Date(now.getTime() + DAY);
    await look(other).expect(404);
    expect((await request(server.app).get(`${api}/previews`).expect(200)).body).toEqual({ previews: [] });
    await request(server.app).post('/api/v1/sites/none/previews').send({}).expect(404);
    await request(server.app).post(`/preview/${one}`).expect(404);
  });

  it('shows a hostile title and a hostile path as text', async () => {
    const token = await made();
    const { text } = await look(token, '/%3Cscript%3Ealert(1)%3C/script%3E').expect(404);
    expect(text).not.toContain('<script>alert');
  });
});

describe('a site that is deleted', () => {
  it('needs its name typed, is there for nobody, and comes back with its editions within a day', async () => {
    const { revision } = (await request(server.app).get(api).expect(200)).body as { revision: number };
    await request(server.app).post(`${api}/editions`).send({ note: '', revision }).expect(201);
    const menu = '/delivery/v1/sites/meadow/menus/menu';
    await request(server.app).get(menu).expect(200);
    const token = await made();
    const wrong = await request(server.app).post(`${api}/delete`).send({ name: 'meadow?' }).expect(422);
    expect(wrong.body.error.code).toBe('otherName');
    await request(server.app).get(menu).expect(200);
    const { name } = start.document.site;
    const { body } = await request(server.app).post(`${api}/delete`).send({ name }).expect(200);
    expect(body).toEqual({ key: 'meadow', name, until: new Date(now.getTime() + DAY).toISOString() });
    for (const gone of [api, menu, `/preview/${token}`]) await request(server.app).get(gone).expect(404);
    const set = { label: 'Too late' };
    const late = editOf(revision, [{ kind: 'updateItem', id: item, set, was: { label: 'Our shop' } }]);
    await request(server.app).post(`${api}/edits`).send(late).expect(404);
    const listed = (await request(server.app).get('/api/v1/sites').expect(200)).body;
    expect([listed.sites, listed.deleted]).toEqual([[], [body]]);
    const taken = await request(server.app)
      .post('/api/v1/sites')
      .send({ name: 'New', key: 'meadow' })
      .expect(409);
    expect(taken.body.error.code).toBe('keyTaken');
    await sweepDeleted(server.deps);
    await request(server.app).post(`${api}/restore`).send({}).expect(200);
    await request(server.app).get(menu).expect(200);
    await look(token).expect(200);
    await request(server.app).post(`${api}/restore`).send({}).expect(404);
  });

  it('goes for good after a day, with all that was its own', async () => {
    const { name } = start.document.site;
    await request(server.app).post(`${api}/delete`).send({ name }).expect(200);
    now = new Date(now.getTime() + DAY);
    expect((await request(server.app).post(`${api}/restore`).send({}).expect(404)).body.error.code).toBe(
      'notDeleted',
    );
    await sweepDeleted(server.deps);
    const { rows } = (await server.deps.database.execute(
      'select (select count(*)::int from sites) + (select count(*)::int from items) + (select count(*)::int from blobs) + (select count(*)::int from previews) as left',
    )) as unknown as { rows: { left: number }[] };
    expect(rows[0]?.left).toBe(0);
    await request(server.app).post('/api/v1/sites').send({ name: 'New', key: 'meadow' }).expect(201);
  });
});
