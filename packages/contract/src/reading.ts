import * as Type from 'typebox';
import type { Static } from 'typebox';
import { AddressShape, closed, IdShape, PlacingShape, recordOf } from '@zorvik/core';
import { PersonNameShape } from './messages.ts';
import { API, type Route } from './route.ts';

const whole = Type.Integer({ minimum: 0 });
const mostPages = Type.Integer({ minimum: 1, maximum: 20_000 });

/** How often the server reads a site by itself. */
export const ReadingRhythmShape = Type.Enum(['never', 'hourly', 'daily'] as const);
export type ReadingRhythm = Static<typeof ReadingRhythmShape>;

/** How a site is read, and what came of it the last time. */
export const ReadingPlanShape = Type.Object(
  {
    address: Type.String(),
    pages: whole,
    every: ReadingRhythmShape,
    /**
     * `at`: when it was read. `isTaken`: it was taken in, and is what changed in the pages since the time
     * before.
     */
    found: Type.Union([
      Type.Object(
        {
          at: Type.String(),
          isTaken: Type.Boolean(),
          /** Taken in: pages that were there already and that it changed; of very many, the first. */
          changed: Type.Array(IdShape, { maxItems: 2000 }),
          read: whole,
          added: whole,
          renamed: whole,
          moved: whole,
          readdressed: whole,
          gone: whole,
        },
        closed,
      ),
      Type.Null(),
    ]),
    /** Why the site could not be read the last time. */
    reason: Type.Union([Type.String(), Type.Null()]),
  },
  closed,
);
export type ReadingPlan = Static<typeof ReadingPlanShape>;

/** How far the reading of a site is, and what it came to. */
export const ReadingShape = Type.Object(
  {
    state: Type.Enum(['none', 'running', 'paused', 'done', 'failed', 'cancelled'] as const),
    address: Type.String(),
    /** Pages read, and addresses that are known and wait. */
    read: whole,
    waiting: whole,
    /** Why it failed. */
    reason: Type.Union([Type.String(), Type.Null()]),
    problems: Type.Array(Type.Object({ address: Type.String(), reason: Type.String() }, closed)),
    /** How it is read; null: it never was. */
    plan: Type.Union([ReadingPlanShape, Type.Null()]),
    /** What is otherwise than what the pages say now, once all is read. */
    difference: Type.Union([
      Type.Null(),
      Type.Object(
        {
          added: whole,
          renamed: whole,
          moved: whole,
          readdressed: whole,
          gone: whole,
          /** Known pages of which nothing but facts is otherwise: headings, dates, what placed them. */
          facts: whole,
          /** How many pages each kind of evidence placed. */
          placedBy: recordOf(Type.String(), whole),
          /** Templates that the markup of pages was grouped into, with how sure that is in percent. */
          templates: Type.Array(
            Type.Object(
              { name: Type.String(), pages: whole, sure: Type.Integer({ minimum: 0, maximum: 100 }) },
              closed,
            ),
          ),
          /** Pages whose evidence says different things of their place. */
          contradictions: Type.Array(
            Type.Object(
              {
                title: Type.String(),
                by: PlacingShape,
                under: Type.String(),
                other: PlacingShape,
                otherUnder: Type.String(),
              },
              closed,
            ),
            { maxItems: 100 },
          ),
          contradicting: whole,
          /** Each change in its place in the site, with the pages above it; of very many, the first. */
          changes: Type.Object(
            {
              rows: Type.Array(
                Type.Object(
                  {
                    title: Type.String(),
                    address: Type.String(),
                    depth: whole,
                    isNew: Type.Optional(Type.Literal(true)),
                    isDeleted: Type.Optional(Type.Literal(true)),
                    wasTitle: Type.Optional(Type.String()),
                    wasUnder: Type.Optional(Type.String()),
                    wasAddress: Type.Optional(Type.String()),
                  },
                  closed,
                ),
                { maxItems: 500 },
              ),
              left: whole,
            },
            closed,
          ),
        },
        closed,
      ),
    ]),
  },
  closed,
);
export type Reading = Static<typeof ReadingShape>;

/** What is asked about reading a site over HTTP. */
export const readingRoutes = {
  readingOf: {
    method: 'GET',
    path: `${API}/sites/:siteKey/reading`,
    summary:
      'The progress of reading the site over HTTP and, once done, the changes found. `trust` prefers one kind of evidence.',
    query: Type.Object(
      {
        trust: Type.Optional(PlacingShape),
        missing: Type.Optional(Type.Union([Type.Literal('keep'), Type.Literal('retire')])),
      },
      closed,
    ),
    status: 200,
    reply: ReadingShape,
  },
  startReading: {
    method: 'POST',
    path: `${API}/sites/:siteKey/reading`,
    summary:
      'Starts reading the site over HTTP from a start page and its sitemaps. One reading per site at a time.',
    body: Type.Object({ address: AddressShape, pages: mostPages }, closed),
    status: 201,
    reply: ReadingShape,
  },
  steerReading: {
    method: 'POST',
    path: `${API}/sites/:siteKey/reading/steer`,
    summary: 'Pauses, resumes or stops a reading.',
    body: Type.Object({ act: Type.Enum(['pause', 'goOn', 'cancel'] as const) }, closed),
    status: 200,
    reply: ReadingShape,
  },
  planOf: {
    method: 'GET',
    path: `${API}/sites/:siteKey/reading/plan`,
    summary: 'The start page, limit and schedule of reading, and the latest result.',
    status: 200,
    reply: Type.Object({ plan: Type.Union([ReadingPlanShape, Type.Null()]) }, closed),
  },
  planReading: {
    method: 'POST',
    path: `${API}/sites/:siteKey/reading/plan`,
    summary:
      'Sets the start page, limit and schedule of automatic reading. Results are not imported until someone confirms them.',
    body: Type.Object({ address: AddressShape, pages: mostPages, every: ReadingRhythmShape }, closed),
    status: 200,
    reply: ReadingShape,
  },
  takeReading: {
    method: 'POST',
    path: `${API}/sites/:siteKey/reading/take`,
    summary: 'Imports the changes found, as one edit.',
    body: Type.Object(
      {
        session: IdShape,
        missing: Type.Union([Type.Literal('keep'), Type.Literal('retire')]),
        trust: Type.Optional(PlacingShape),
        name: Type.Optional(PersonNameShape),
      },
      closed,
    ),
    status: 200,
    reply: Type.Object({ revision: whole }, closed),
  },
  checkLinks: {
    method: 'POST',
    path: `${API}/sites/:siteKey/links/check`,
    summary: 'Checks every external address that menus link to, once, and lists those that do not work.',
    status: 200,
    reply: Type.Object(
      {
        asked: whole,
        dead: Type.Array(Type.Object({ address: Type.String(), reason: Type.String() }, closed)),
      },
      closed,
    ),
  },
} as const satisfies Readonly<Record<string, Route>>;
