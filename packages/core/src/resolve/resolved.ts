import type { Id } from '../base/ids.ts';
import type { Page } from '../schema/page.ts';
import type { Part, PartFacts } from '../schema/part.ts';
import type { Block, Run } from '../schema/richText.ts';
import type { BarFit } from './barFit.ts';
import type { OwnValue, Settings } from '../schema/settings.ts';

/** Values of the site's own fields, by their keys. */
export type OwnValues = Readonly<Record<string, OwnValue>>;

/**
 * An item as a visitor gets it: all that it takes from elsewhere is filled in. What is not set for it is not
 * there.
 */
export interface ResolvedItem extends Readonly<Omit<Settings, 'heldBack' | 'own'>> {
  readonly id: Id;
  readonly label: string;
  /** Null: it leads nowhere, and is a heading. */
  readonly href: string | null;
  readonly opensNewTab: boolean;
  readonly fields?: OwnValues;
  /** Of a panel: how many of the children each column has. They are in the order of the columns. */
  readonly columns?: readonly number[];
  /** Of a panel that somebody composed: its rows. The children are as they are in the menu then. */
  readonly rows?: readonly ResolvedPart[];
  readonly children: readonly ResolvedItem[];
}

/** A menu as a visitor gets it, with every label and address filled in. */
export interface ResolvedMenu {
  readonly key: string;
  readonly name: string;
  readonly language: string;
  readonly direction: 'ltr' | 'rtl';
  readonly fields?: OwnValues;
  readonly items: readonly ResolvedItem[];
}

export type ResolvedRun = Omit<Run, 'to'> & { readonly href?: string };
export type ResolvedBlock = Omit<Block, 'runs'> & { readonly runs: readonly ResolvedRun[] };

/** A page as a live list shows it. */
export type ResolvedPage = Pick<Page, 'picture' | 'summary'> & {
  readonly label: string;
  readonly href: string;
};

/**
 * A row, a cell or a part of a panel as a visitor gets it: what it takes from elsewhere is filled in. What is
 * not said of it is not there.
 */
export interface ResolvedPart extends Readonly<
  Omit<PartFacts, 'destination' | 'source' | 'menu' | 'body' | 'shows'>
> {
  readonly id: Id;
  readonly kind: Part['kind'];
  /** Of what may lead somewhere and does. */
  readonly href?: string;
  readonly body?: readonly ResolvedBlock[];
  /** Of balanced groups: the child items in each column. */
  readonly groups?: readonly (readonly Id[])[];
  readonly pages?: readonly ResolvedPage[];
  /** Of another menu: its items, without panels. */
  readonly items?: readonly ResolvedItem[];
  readonly parts?: readonly ResolvedPart[];
  /** Of a placement: the menu that shows there. */
  readonly shown?: ResolvedMenu;
  /** Of a placement: what its bar does where it does not fit, and a name for that, for the style sheet. */
  readonly fit?: { readonly name: string; readonly rules: BarFit };
  /** Of a part that is shown again: the part that it is. */
  readonly uses?: Id;
  /** Of a contact line: what it says, with its link where it has one. */
  readonly lines?: readonly {
    readonly is: string;
    readonly text: readonly string[];
    readonly href?: string;
  }[];
  /** Of social links and payment marks: the name of each, its outline, and its link. */
  readonly marks?: readonly { readonly name: string; readonly path: string; readonly href?: string }[];
}
