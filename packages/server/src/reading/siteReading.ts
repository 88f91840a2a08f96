import { createRequire } from 'node:module';
import {
  addressKey,
  decodeHtml,
  ownAddress,
  readPage,
  readSitemap,
  siteTree,
  type PageFacts,
  type TreePage,
} from '@zorvik/formats';
import type { Placing } from '@zorvik/core';
import { fetchPage, unpacked, type FetchLimits } from './fetchPage.ts';

/** robots-parser is CommonJS whose types say otherwise. */
interface Robots {
  readonly isAllowed: (url: string, agent: string) => boolean | undefined;
  readonly getCrawlDelay: (agent: string) => number | undefined;
  readonly getSitemaps: () => string[];
}
const robotsParser = createRequire(import.meta.url)('robots-parser') as (url: string, text: string) => Robots;

export interface ReadingLimits {
  readonly pages: number;
  readonly allowed: ReadonlySet<string>;
  /** At most so many answers are waited for at once. */
  readonly atOnce?: number;
  /** ms for one answer. */
  readonly patience?: number;
  /**
   * Addresses that pages are known by: asked for too, whether links lead there or not, so that what moved is
   * told from what is gone.
   */
  readonly known?: readonly string[];
}

export interface ReadingProblem {
  readonly address: string;
  readonly reason: string;
}

export type ReadingState = 'running' | 'paused' | 'done' | 'failed' | 'cancelled';

/** Bytes of one page, and of one sitemap. */
const LARGEST_PAGE = 4 * 1_048_576;
const LARGEST_SITEMAP = 50 * 1_048_576;
const MOST_SITEMAPS = 50;
const MOST_ADDRESSES = 200_000;
const MOST_PROBLEMS = 500;
/** An address with more parts than this is made by a loop. */
const MOST_PARTS = 24;
const AT_ONCE = 4;
const PATIENCE = 15_000;

/**
 * Reads a site over HTTP: from its start page and its sitemaps on, every page of the same origin that links
 * lead to, as far as robots.txt (RFC 9309) lets it and no more pages than asked for. What each page says of
 * itself is kept; the tree is made of it at the end.
 */
export class SiteReading {
  state: ReadingState = 'running';
  /** Why it failed. */
  reason: string | null = null;
  readonly problems: ReadingProblem[] = [];
  readonly redirects = new Map<string, string>();
  private readonly facts = new Map<string, PageFacts>();
  private readonly seen = new Set<string>();
  private readonly queue: string[] = [];
  private readonly lists = new Map<string, PageFacts['lists']>();
  private readonly names = new Map<string, string>();
  private readonly abort = new AbortController();
  private readonly start: URL;
  private robots: Robots | null = null;
  private gap = 0;
  private busy = 0;
  /** Sitemaps are still asked for: an empty queue is not the end. */
  private isListing = true;
  private last = 0;
  private resume: (() => void) | null = null;

  constructor(
    address: string,
    private readonly limits: ReadingLimits,
  ) {
    this.start = new URL(address);
  }

  get origin(): string {
    return this.start.origin;
  }
  get read(): number {
    return this.facts.size;
  }
  get waiting(): number {
    return this.queue.length + this.busy;
  }

  private get fetching(): FetchLimits {
    const { allowed, patience = PATIENCE } = this.limits;
    return { most: LARGEST_PAGE, patience, allowed, origin: this.origin, signal: this.abort.signal };
  }

  /** The pages in their tree; `trust` puts one kind of evidence first. */
  tree(trust: Placing | null = null): TreePage[] {
    return siteTree([...this.facts.values()], this.startAddress, trust);
  }

  private get startAddress(): string {
    const address = addressKey(this.start.pathname + this.start.search);
    return this.redirects.get(address) ?? address;
  }

  pause(): void {
    if (this.state === 'running') this.state = 'paused';
  }

  goOn(): void {
    if (this.state !== 'paused') return;
    this.state = 'running';
    this.resume?.();
  }

  cancel(): void {
    if (this.state !== 'running' && this.state !== 'paused') return;
    this.state = 'cancelled';
    this.abort.abort();
    this.resume?.();
  }

  async run(): Promise<void> {
    try {
      await this.askRobots();
      this.add(addressKey(this.start.pathname + this.start.search));
      const workers = Array.from({ length: this.limits.atOnce ?? AT_ONCE }, () => this.work());
      // The start page first: it says at once whether there is anything to read.
      await this.readSitemaps();
      for (const address of this.limits.known ?? []) this.add(addressKey(address));
      this.isListing = false;
      await Promise.all(workers);
      if (this.hasStopped()) return;
      if (this.facts.size === 0) throw new Error(this.problems[0]?.reason ?? 'no page was found');
      this.state = 'done';
    } catch (error) {
      if (this.hasStopped()) return;
      this.state = 'failed';
      this.reason = (error as Error).message;
    }
  }

  private hasStopped(): boolean {
    return this.state === 'cancelled';
  }

  private async askRobots(): Promise<void> {
    const url = `${this.origin}/robots.txt`;
    const found = await fetchPage(url, this.fetching);
    const text = found.kind === 'answer' && found.status === 200 ? found.bytes.toString('utf8') : '';
    this.robots = robotsParser(url, text);
    this.gap = Math.min(10, this.robots.getCrawlDelay('Zorvik') ?? 0) * 1000;
  }

  private async readSitemaps(): Promise<void> {
    const fromRobots = this.robots?.getSitemaps() ?? [];
    const waiting = [...new Set([...fromRobots, `${this.origin}/sitemap.xml`])];
    for (let read = 0; waiting.length > 0 && read < MOST_SITEMAPS && !this.hasStopped(); read += 1) {
      const url = waiting.shift() ?? '';
      if (!URL.canParse(url) || new URL(url).origin !== this.origin) continue;
      const found = await fetchPage(url, { ...this.fetching, most: LARGEST_SITEMAP });
      if (found.kind !== 'answer' || found.status !== 200) {
        if (fromRobots.includes(url))
          this.tellProblem(
            url,
            found.kind === 'failed' ? found.reason : `the server answers ${found.status}`,
          );
        continue;
      }
      const bytes =
        url.endsWith('.gz') || found.type.includes('gzip')
          ? await unpacked(found.bytes, 'gzip', LARGEST_SITEMAP).catch(() => null)
          : found.bytes;
      if (bytes === null) this.tellProblem(url, 'it cannot be decompressed');
      else waiting.push(...this.takeSitemap(url, bytes.toString('utf8')));
    }
  }

  /** Takes the addresses of a sitemap; gives those of the sitemaps that an index names. */
  private takeSitemap(url: string, text: string): string[] {
    if (/<sitemapindex[\s>]/.test(text.slice(0, 4000)))
      return [...text.matchAll(/<loc>\s*([^<\s]+)\s*<\/loc>/g)].map(([, location = '']) =>
        location.replaceAll('&amp;', '&'),
      );
    const entries = readSitemap(text, { most: MOST_ADDRESSES });
    if (!entries.ok) {
      // An error page in the place of a sitemap is no problem of the site's.
      if (/<urlset[\s>]/.test(text.slice(0, 4000))) this.tellProblem(url, entries.refusal.message);
      return [];
    }
    for (const { location } of entries.value) {
      const address = ownAddress(location, url, this.origin);
      if (address !== null) this.add(address);
    }
    return [];
  }

  private add(address: string): void {
    const isTooMany =
      this.facts.size + this.queue.length >= this.limits.pages + (this.limits.known?.length ?? 0);
    if (
      isTooMany ||
      this.seen.has(address) ||
      address.length > 2000 ||
      address.split('/').length > MOST_PARTS
    )
      return;
    this.seen.add(address);
    if (this.robots?.isAllowed(this.origin + address, 'Zorvik') === false)
      return this.tellProblem(address, 'robots.txt disallows it');
    this.queue.push(address);
  }

  private async work(): Promise<void> {
    for (;;) {
      if (this.state === 'paused') await new Promise<void>((done) => this.whenResumed(done));
      if (this.hasStopped() || this.facts.size >= this.limits.pages) return;
      const address = this.queue.shift();
      if (address === undefined) {
        if (this.busy === 0 && !this.isListing) return;
        await new Promise((done) => setTimeout(done, 5));
        continue;
      }
      this.busy += 1;
      await this.waitForTurn();
      await this.take(address).catch((error: Error) => this.tellProblem(address, error.message));
      this.busy -= 1;
    }
  }

  private whenResumed(done: () => void): void {
    const before = this.resume;
    this.resume = () => {
      before?.();
      done();
    };
  }

  private async waitForTurn(): Promise<void> {
    if (this.gap === 0) return;
    const now = Date.now();
    const turn = Math.max(now, this.last + this.gap);
    this.last = turn;
    if (turn > now) await new Promise((done) => setTimeout(done, turn - now));
  }

  private async take(address: string): Promise<void> {
    const found = await fetchPage(this.origin + address, this.fetching);
    if (this.hasStopped()) return;
    if (found.kind === 'failed') return this.tellProblem(address, found.reason);
    if (found.status !== 200) return this.tellProblem(address, `the server answers ${found.status}`);
    if (!/html|^$/i.test(found.type)) return;
    const page = readPage(decodeHtml(found.bytes, found.type), found.url);
    if (found.from.length > 0) this.redirects.set(address, page.address);
    if (page.isErrorPage) return this.tellProblem(address, 'it looks like an error page, but answers 200');
    for (const link of page.links) this.add(link);
    for (const related of [page.up, page.previous, page.next]) if (related !== null) this.add(related);
    if (page.canonical !== null && page.canonical !== page.address) {
      // The page says itself that it is another one's double.
      this.add(page.canonical);
      if (this.seen.has(page.canonical)) return void this.redirects.set(page.address, page.canonical);
    }
    this.seen.add(page.address);
    if (!this.facts.has(page.address) && this.facts.size < this.limits.pages)
      this.facts.set(page.address, this.shared(page));
  }

  /** Thousands of pages name the same addresses and have the same lists: each is kept once. */
  private shared(page: PageFacts): PageFacts {
    const once = (text: string): string => {
      const known = this.names.get(text);
      if (known !== undefined) return known;
      this.names.set(text, text);
      return text;
    };
    const key = page.lists.map(({ address, above }) => `${address} ${above ?? ''}`).join('\n');
    const lists = this.lists.get(key) ?? page.lists;
    this.lists.set(key, lists);
    return { ...page, lists, links: page.links.map(once) };
  }

  private tellProblem(address: string, reason: string): void {
    if (this.problems.length < MOST_PROBLEMS) this.problems.push({ address, reason });
  }
}
