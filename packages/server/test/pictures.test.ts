import { fileURLToPath } from 'node:url';
import { deflateSync, crc32 } from 'node:zlib';
import request from 'supertest';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  addPartOf,
  applyEdit,
  setPart,
  toStored,
  type CommandContext,
  type Edit,
  type Picture,
  type Result,
  type SiteDocument,
  readStored,
} from '@zorvik/core';
import { contextOf, outlined } from '@zorvik/core/testing';
import { makePicture } from '../src/editing/makePicture.ts';
import { oneAtATime, picturesHere, picturesInThread } from '../src/editing/pictureMaker.ts';
import { sweepFiles } from '../src/editing/sweepFiles.ts';
import { testServer, type TestServer } from './testServer.ts';

const { document, ids } = outlined('Seeds > /seeds\n  Spring > /seeds/spring');
const site = '/api/v1/sites/meadow';
const owner = ids.get('Seeds') ?? '';
const LATER = '2099-01-01T00:00:00Z';

let server: TestServer;
beforeAll(async () => {
  server = await testServer(toStored(document));
});
afterAll(() => server.close());

const dots = (color: string, width = 1000, height = 500) =>
  sharp({ create: { width, height, channels: 3, background: color } });
const send = (bytes: Buffer | string) =>
  request(server.app).post(`${site}/pictures`).set('Content-Type', 'application/octet-stream').send(bytes);
async function kept(bytes: Buffer): Promise<Picture> {
  return ((await send(bytes).expect(201)).body as { picture: Picture }).picture;
}
async function refused(bytes: Buffer | string): Promise<string> {
  return ((await send(bytes).expect(422)).body as { error: { message: string } }).error.message;
}
const present = async (): Promise<{ revision: number; document: SiteDocument }> => {
  const { body } = await request(server.app).get(site);
  return { revision: body.revision as number, document: readStored(body.document as { format: number }) };
};
async function perform(command: (context: CommandContext) => Result<Edit>): Promise<void> {
  const now = await present();
  const edit = command({ ...contextOf(now.document, now.revision + 100), base: now.revision });
  if (!edit.ok) throw new Error(edit.refusal.message);
  expect(applyEdit(now.document, edit.value).ok).toBe(true);
  await request(server.app).post(`${site}/edits`).send(edit.value).expect(200);
}
const publish = async (): Promise<void> => {
  const { revision } = await present();
  await request(server.app).post(`${site}/editions`).send({ note: '', revision }).expect(201);
};

/** A PNG that says that it is enormous, and is a few hundred bytes. */
function bomb(side: number): Buffer {
  const chunk = (type: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const size = Buffer.alloc(4);
    size.writeUInt32BE(data.length);
    const check = Buffer.alloc(4);
    check.writeUInt32BE(crc32(body));
    return Buffer.concat([size, body, check]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([1, 0, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from('89504e470d0a1a0a', 'hex'),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.alloc(1000))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

describe('a picture', () => {
  it('is taken in each format by its content, put upright, and kept in the widths below its own', async () => {
    for (const format of ['png', 'jpeg', 'webp', 'avif', 'gif'] as const) {
      const picture = await kept(await dots('#7a9f6a').toFormat(format).toBuffer());
      expect(picture, format).toEqual({ file: picture.file, width: 1000, height: 500 });
      for (const width of [320, 640, 960, 1000]) {
        const { body, headers } = await request(server.app)
          .get(`${site}/pictures/${picture.file}-${width}.webp`)
          .expect(200);
        expect(headers['content-type']).toBe('image/webp');
        expect((await sharp(body as Buffer).metadata()).width, format).toBe(width);
      }
    }
    const turned = await kept(
      await dots('#224466', 800, 400).jpeg().withMetadata({ orientation: 6 }).toBuffer(),
    );
    expect([turned.width, turned.height]).toEqual([400, 800]);
    const wide = await kept(await dots('#224466', 4800, 1200).png().toBuffer());
    expect([wide.width, wide.height], 'no wider than the widest that is kept').toEqual([2400, 600]);
  });

  it('keeps moving, when it did', async () => {
    const frames = await Promise.all(
      ['#ff0000', '#00ff00', '#0000ff'].map((color) => dots(color, 400, 200).png().toBuffer()),
    );
    const moving = await sharp(frames, { join: { animated: true } })
      .gif({ delay: [100, 100, 100] })
      .toBuffer();
    const picture = await kept(moving);
    expect([picture.width, picture.height]).toEqual([400, 200]);
    const { body } = await request(server.app).get(`${site}/pictures/${picture.file}-320.webp`);
    expect((await sharp(body as Buffer, { animated: true }).metadata()).pages).toBe(3);
  });

  it('that is drawn loses all that acts or is fetched, and nothing of what is seen; what is clean stays as it is', async () => {
    const hostile = `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY x "boom">]><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 40 20" onload="alert(1)">
      <script>alert(2)</script><a href="javascript:alert(3)"><rect width="40" height="20" fill="url(https://elsewhere.example/x)" onclick="alert(4)"/></a>
      <image href="https://elsewhere.example/a.png"/><use xlink:href="https://elsewhere.example/b.svg#c"/><use xlink:href="#c"/><style>@import "https://elsewhere.example/x.css"</style>
      <foreignObject><iframe src="https://elsewhere.example"/></foreignObject><animate attributeName="href" to="javascript:alert(5)"/>
      <defs><linearGradient id="g"><stop stop-color="#fff"/></linearGradient></defs><circle r="4" fill="url(#g)"/></svg>`;
    const picture = await kept(Buffer.from(hostile));
    expect(picture).toEqual({ file: picture.file, width: 40, height: 20, isDrawn: true });
    const { body, headers } = await request(server.app)
      .get(`${site}/pictures/${picture.file}.svg`)
      .expect(200);
    const text = (body as Buffer).toString('utf8');
    expect(text).not.toMatch(
      /script|javascript|onload|onclick|elsewhere|foreignObject|iframe|@import|ENTITY/i,
    );
    expect(text).toContain('<circle r="4" fill="url(#g)"');
    expect(text).toContain('<use xlink:href="#c"');
    expect(headers['content-security-policy']).toContain("default-src 'none'");
    expect((await kept(body as Buffer)).file, 'sanitising again changes nothing').toBe(picture.file);
  });

  it('is refused with its reason when it is none, is broken, too large, or enormous once it is unpacked; nothing is kept of it', async () => {
    const whole = await dots('#123456').jpeg().toBuffer();
    expect(await refused('')).toMatch(/^This picture can’t be used: the file is empty\./);
    expect(await refused('<html><svg onload=alert(1)></svg>')).toMatch(/its format is not supported/);
    expect(await refused('GIF89a and nothing more')).toMatch(/cannot be decoded|format is not supported/);
    expect(await refused(whole.subarray(0, whole.length / 2))).toMatch(/cannot be decoded/);
    expect(await refused(bomb(30_000))).toMatch(/more than 50 million pixels|cannot be decoded/);
    expect(await refused(Buffer.alloc(6 * 1_048_576, 1))).toMatch(/it is larger than 5 MB/);
    expect(await refused('<svg viewBox="0 0 9 9"><rect></svg>')).toMatch(/not well-formed XML/);
    expect(await refused('<svg xmlns="http://www.w3.org/2000/svg"><rect/></svg>')).toMatch(
      /has neither a size nor a viewBox/,
    );
    expect(await refused(await dots('#000000').tiff().toBuffer())).toMatch(/its format is not supported/);
    await request(server.app).get(`${site}/pictures/../../../etc/passwd`).expect(404);
    await request(server.app)
      .get(`${site}/pictures/${'0'.repeat(32)}-320.webp`)
      .expect(404);
  });

  it.each([
    [
      'nested deeply',
      `<svg viewBox="0 0 9 9">${'<g>'.repeat(3500)}${'</g>'.repeat(3500)}</svg>`,
      /more than 40 nested levels/,
    ],
    [
      'of very many elements',
      `<svg viewBox="0 0 9 9">${'<g/>'.repeat(175_000)}</svg>`,
      /has more than 5000 elements/,
    ],
    [
      'that repeats what repeats others',
      `<svg viewBox="0 0 9 9"><defs><g id="a"><path d="M0 0"/></g>${['b', 'c', 'd'].map((id, at) => `<g id="${id}">${`<use href="#${'abc'.charAt(at)}"/>`.repeat(20)}</g>`).join('')}</defs><use href="#d"/></svg>`,
      /nests <use> elements/,
    ],
    [
      'whose patterns are made of patterns',
      `<svg viewBox="0 0 9 9">${['a', 'b', 'c', 'd', 'e'].map((id, at) => `<pattern id="${id}">${`<rect fill="url(#${'_abcd'.charAt(at)})"/>`.repeat(20)}</pattern>`).join('')}<rect fill="url(#e)"/></svg>`,
      /with all <use> elements expanded, the drawing has more than 50000 elements/,
    ],
    [
      'that refers to itself',
      '<svg viewBox="0 0 9 9"><mask id="m"><rect mask="url(#m)"/></mask></svg>',
      /with all <use> elements expanded/,
    ],
    [
      'with a style sheet before it',
      '<?xml-stylesheet href="https://elsewhere.example/x.css"?><svg viewBox="0 0 9 9"/>',
      /an instruction <\?xml-stylesheet\?>/,
    ],
    [
      'with a style sheet in it',
      '<svg viewBox="0 0 9 9"><?xml-stylesheet href="x.css"?></svg>',
      /an instruction <\?xml-stylesheet\?>/,
    ],
    [
      'that hides a name by an escape',
      '<svg viewBox="0 0 9 9"><rect fill="u\\72l(https://elsewhere.example/x)"/></svg>',
      /escaped CSS address/,
    ],
    ['with an entity', '<svg viewBox="0 0 9 9"><text>&boom;</text></svg>', /not well-formed XML/],
  ])('that is drawn and %s is refused before anything is built of it', async (_, drawing, words) => {
    const begin = performance.now();
    expect(await refused(drawing)).toMatch(words);
    // Sanitising these took from seconds to minutes; a generous bound tells the two apart on any machine.
    expect(performance.now() - begin).toBeLessThan(5000);
  });

  it('may be large and detailed, as drawings are', async () => {
    const paths = Array.from({ length: 3000 }, (_, at) => `<path d="M0 ${at}h9" stroke="#123456"/>`).join('');
    const defs =
      '<defs><g id="leaf"><path d="M0 0"/></g><linearGradient id="g"><stop/></linearGradient></defs>';
    const picture = await kept(
      Buffer.from(
        `<svg viewBox="0 0 90 90">${defs}<g fill="url(#g)">${paths}</g><use href="#leaf"/><use href="#leaf" x="3"/></svg>`,
      ),
    );
    expect(picture).toMatchObject({ width: 90, isDrawn: true });
  });

  it('may be seen by the live header, which has no origin; nothing else of the API may be', async () => {
    const picture = await kept(await dots('#aa5500', 300, 300).png().toBuffer());
    const seen = await request(server.app)
      .get(`${site}/pictures/${picture.file}-300.webp`)
      .set('Origin', 'null')
      .set('Host', '127.0.0.1')
      .expect(200);
    expect(seen.headers['cross-origin-resource-policy']).toBe('cross-origin');
    expect(seen.headers['access-control-allow-origin']).toBeUndefined();
    // What Chromium says of a picture in a sandboxed frame.
    const fetched = { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Dest': 'image', Host: '127.0.0.1' };
    await request(server.app).get(`${site}/pictures/${picture.file}-300.webp`).set(fetched).expect(200);
    await request(server.app).get(site).set(fetched).expect(403);
    await request(server.app).get(site).set('Origin', 'null').set('Host', '127.0.0.1').expect(403);
    await request(server.app)
      .post(`${site}/pictures`)
      .set('Origin', 'null')
      .set('Host', '127.0.0.1')
      .send('x')
      .expect(403);
  });
});

describe('the thread in which pictures are made', () => {
  const thread = fileURLToPath(new URL('../../../build/server/pictureThread.js', import.meta.url));

  it('makes what is made here, one after the other, and ends at what takes too long without harm to the next', async () => {
    const [threaded, here] = [picturesInThread(thread), picturesHere()];
    const pictures = await Promise.all([
      dots('#112233', 400, 300).png().toBuffer(),
      dots('#445566', 900, 300).jpeg().toBuffer(),
    ]);
    const drawing = Buffer.from('<svg viewBox="0 0 9 9" onload="x"><rect width="9" height="9"/></svg>');
    const given = [...pictures, drawing, Buffer.from('no picture')];
    const made = await Promise.all(given.map((bytes) => threaded.make(bytes)));
    expect(made).toEqual(await Promise.all(given.map((bytes) => here.make(bytes))));
    await threaded.close();
    const hasty = picturesInThread(thread, 1);
    const late = await hasty.make(pictures[0]!);
    expect(late.ok ? '' : late.refusal.message).toMatch(/it takes longer than 0 s to read/);
    await hasty.close();
  });

  it('has one picture unpacked at a time', async () => {
    let [atOnce, most] = [0, 0];
    const slow = oneAtATime(async () => {
      most = Math.max(most, (atOnce += 1));
      await new Promise(setImmediate);
      atOnce -= 1;
    });
    await Promise.all(Array.from({ length: 5 }, slow));
    expect(most).toBe(1);
  });
});

describe('the pictures of a site', () => {
  it('are part of editions in all their widths, and stay as long as something names them: the working copy, the log, an edition', async () => {
    const bytes = await dots('#5588aa', 700, 400).png().toBuffer();
    const [picture, idle] = [await kept(bytes), await kept(await dots('#885522', 700, 400).png().toBuffer())];
    expect((await kept(bytes)).file, 'the same one again is the same').toBe(picture.file);
    await perform((context) => addPartOf(context, owner, null, 'picture'));
    const part =
      [...(await present()).document.parts.nodes.values()].find(({ kind }) => kind === 'picture')?.id ?? '';
    await perform((context) => setPart(context, part, { picture, isOrnament: true }));
    await publish();
    const html = (await request(server.app).get('/delivery/v1/sites/meadow/menus/menu.html')).text;
    const address = `/delivery/v1/sites/meadow/pictures/${picture.file}-700.webp`;
    expect(html).toContain(`src="http://127.0.0.1:4782${address}"`);
    const { headers } = await request(server.app).get(address).set('Accept-Encoding', 'br, gzip').expect(200);
    expect([headers['content-type'], headers['content-encoding']], 'packed by itself already').toEqual([
      'image/webp',
      undefined,
    ]);
    const { id } = document.site;
    expect(await sweepFiles(server.deps, id, '2000-01-01T00:00:00Z'), 'what was sent just now stays').toBe(0);
    expect(await sweepFiles(server.deps, id, LATER)).toBeGreaterThan(0);
    await request(server.app).get(`${site}/pictures/${idle.file}-700.webp`).expect(404);
    await perform((context) => setPart(context, part, { picture: null }));
    expect(await sweepFiles(server.deps, id, LATER), 'undo may bring it back').toBe(0);
    await request(server.app).get(`${site}/pictures/${picture.file}-700.webp`).expect(200);
    await request(server.app).get(address).expect(200);
  });

  it('of the demo are in the form in which they are kept', async () => {
    const { panelPicture, panelPictures } = await import('../../../demo/quillmere/panels.ts');
    for (const name of panelPictures) {
      const made = await makePicture(panelPicture(name));
      expect(made.ok && made.value.files[0]?.bytes.equals(panelPicture(name)), name).toBe(true);
    }
  });
});
