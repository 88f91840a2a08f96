import type { ThingName } from '../anatomy/anatomy.ts';
import { selectorsIn, specificityOf, type Specificity } from '../anatomy/specificity.ts';

/**
 * When a rule holds: on a device class, on all but narrow screens, where the drawer takes over and where it does
 * not, where a header can be vertical, where scripts run, on paper, or as somebody's system is set.
 */
export type Medium =
  | 'narrow'
  | 'medium'
  | 'wide'
  | 'wider'
  | 'drawer'
  | 'noDrawer'
  | 'vertical'
  | 'scripted'
  | 'narrowScripted'
  | 'tall'
  | 'print'
  | 'forcedColors'
  | 'lessMotion';

/** A rule of the style sheet. */
export interface Rule {
  /** As one would write it: it says what is meant, and how much it counts (see `printRules`). */
  readonly selector: string;
  readonly declarations: string;
  readonly medium: Medium | null;
  /** A second medium, which must hold, too; not there: there is none. */
  readonly also?: Medium;
  /** It holds where the band around is narrower, in em of the band’s text; not there: at every width. */
  readonly narrower?: number;
  /** Its selectors as they are printed, each with how much it counts; worked out once, when the rule is made. */
  readonly printed: readonly { readonly flat: string; readonly counts: Specificity }[];
  /** It comes behind all looks: what has to be so for something to work, whatever somebody set. */
  readonly isLate: boolean;
  /** It stands for the looks of these things, which are compiled where the style sheet is printed. */
  readonly looks?: readonly ThingName[];
}

/** The looks of things that are in use, as a rule among those that lay them out. */
export function looks(...things: readonly ThingName[]): Rule {
  return { selector: '', declarations: '', medium: null, printed: [], isLate: false, looks: things };
}

/** When a rule holds, and what it wins against. */
export interface RuleChoices {
  readonly medium?: Medium | null;
  readonly also?: Medium | undefined;
  readonly narrower?: number | null;
  readonly weight?: number;
  readonly isLate?: boolean;
}

/**
 * A rule. `declarations` are CSS, without the last semicolon. `weight`: it counts like a selector with so many
 * classes more, for what has to win over what is more special.
 */
export function rule(
  selector: string,
  declarations: string,
  { medium = null, also, narrower = null, weight = 0, isLate = false }: RuleChoices = {},
): Rule {
  const printed = selectorsIn(selector).map((one) => {
    const [ids, classes, types] = specificityOf(one);
    return { flat: flatParts(one).join(''), counts: [ids, classes + weight, types] as const };
  });
  return {
    selector,
    declarations,
    medium,
    printed,
    isLate,
    ...(also === undefined ? {} : { also }),
    ...(narrower === null ? {} : { narrower }),
  };
}

/** Rules that hold in a medium alone. */
export function inMedium(medium: Medium, rules: readonly Rule[]): Rule[] {
  return rules.map((one) => ({ ...one, medium }));
}

const ONE_CLASS = /^\.[\w-]+$/;
/**
 * A class with something below it that names nothing else above it: in `:where()`, what is named there may stand
 * anywhere on the page.
 */
const BELOW = /^(\.[\w-]+) ([^>+~ ]\S*)$/;
const PSEUDO_ELEMENT = /::[\w-]+$/;
/** The page itself, where something of ours is on it: `:where(body):has(.zv-vertical)` counts like one class. */
const PAGE = /^:where\((?:html|body)\):has\(\.[\w-]+(?::where\([^)]*\))?\)$/;
/** The elements around all that we write have these classes. */
const ROOT = /^\.zv(?:-bar|-list|-header|-side|-footer|-drawer|-skip)?(?![\w-])(?!.*[ >+~])/;

/**
 * A selector that finds the same, with the specificity of one class. `where`: what must hold of the element besides,
 * as a list of selectors that find it.
 */
export function flat(selector: string, where: readonly string[] = []): string {
  let parts = known.get(selector);
  if (parts === undefined) known.set(selector, (parts = flatParts(selector)));
  const [before, pseudo] = parts;
  return where.length === 0 ? before + pseudo : `${before}:where(${where.join('):where(')})${pseudo}`;
}

/** What has been worked out already: there are as many selectors as we have written, a few hundred. */
const known = new Map<string, readonly [before: string, pseudo: string]>();

function flatParts(selector: string): readonly [before: string, pseudo: string] {
  const pseudo = PSEUDO_ELEMENT.exec(selector)?.[0] ?? '';
  const plain = selector.slice(0, selector.length - pseudo.length);
  if (ONE_CLASS.test(plain) || PAGE.test(plain)) return [plain, pseudo];
  if (ROOT.test(plain)) return [`.zv:where(${plain})`, pseudo];
  const [, holder = '.zv', below = plain] = BELOW.exec(plain) ?? [];
  return [`${holder} :where(${below})`, pseudo];
}
