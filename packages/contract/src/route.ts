import type { Static, TSchema } from 'typebox';

/** Where the editor asks. */
export const API = '/api/v1';

export type Method = 'GET' | 'POST';

/** One way to ask the server something: what may be sent and what comes back, as schemas. */
export interface Route {
  readonly method: Method;
  /** With Express's `:name` for parameters, which all match a key or an id. */
  readonly path: string;
  readonly summary: string;
  readonly query?: TSchema;
  /** A JSON body's schema, or the media type of a body that is read as bytes. */
  readonly body?: TSchema | string;
  readonly status: 200 | 201;
  /** The reply's schema. */
  readonly reply: TSchema;
  /**
   * The media type of the reply; JSON unless said. In a stream of JSON lines, `reply` is the schema of each
   * line.
   */
  readonly replyType?: string;
}

export type ReplyOf<R extends Route> = Static<R['reply']>;
export type BodyOf<R extends Route> = R['body'] extends TSchema ? Static<R['body']> : never;
export type QueryOf<R extends Route> = R['query'] extends TSchema
  ? Static<R['query']>
  : Record<string, never>;
