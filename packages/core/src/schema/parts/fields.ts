import * as Type from 'typebox';
import type { Static } from 'typebox';
import { inDestination } from '../ref.ts';
import { MOST_COLUMNS } from '../dropdown.ts';
import { deviceClasses } from '../deviceClass.ts';
import { DestinationShape } from '../item.ts';
import { PictureShape } from '../picture.ts';
import { BadgeShape, IconShape, type Badge, type Icon } from '../settings.ts';
import { RichTextShape } from '../richText.ts';
import { KeyShape, LinkAddressShape, LONGEST_LABEL } from '../shapes.ts';
import { field, type Field } from './definePart.ts';

/**
 * Fields that several kinds of part have. A field of one name has one shape, whatever kind it belongs to (a
 * law).
 */
export const TextShape = Type.String({ minLength: 1, maxLength: LONGEST_LABEL });
const HiddenOnShape = Type.Array(Type.Enum(deviceClasses), { minItems: 1, maxItems: 3, uniqueItems: true });
const OnlyShape = Type.Enum(['medium', 'narrow'] as const);
const YesShape = Type.Literal(true);
const ColumnsShape = Type.Integer({ minimum: 1, maximum: MOST_COLUMNS });
const HeadingShape = Type.Enum(['plain', 'none'] as const);
const OneLevelShape = Type.Literal(1);
export const ParameterShape = Type.String({ pattern: '^[A-Za-z][A-Za-z0-9_.-]{0,39}$' });
/** Width to height that a picture is cropped to. */
export const pictureRatios = ['1/1', '4/3', '3/2', '16/9', '3/4'] as const;
const RatioShape = Type.Enum(pictureRatios);

/** Device classes on which it is not shown. */
export const hiddenOn = field<Static<typeof HiddenOnShape>>(HiddenOnShape, {
  control: { kind: 'devices', label: 'Shown on' },
});

/**
 * It is what the panel, or the area of the frame, shows on this device class instead of what it usually shows,
 * and nowhere else.
 */
export const only = field<Static<typeof OnlyShape>>(OnlyShape, {
  control: { kind: 'none', label: 'Only on' },
});

/** Its words: a label, a heading, a name. */
export const text = (label: string): Field<Static<typeof TextShape>> =>
  field<Static<typeof TextShape>>(TextShape, {
    control: { kind: 'line', label },
  });

/** Paragraphs and lists, with links in them. */
export const body = (label: string): Field<Static<typeof RichTextShape>> =>
  field<Static<typeof RichTextShape>>(RichTextShape, {
    control: { kind: 'body', label },
    refs: {
      role: 'link',
      find: (blocks, visit, path) =>
        blocks.forEach(({ runs }, block) =>
          runs.forEach(({ to }, run) => {
            if (to !== undefined) inDestination(to, visit, [...path, block, 'runs', run, 'to']);
          }),
        ),
    },
    isResolved: true,
  });

/** Where it links to. */
export const destination = (label = 'Link'): Field<Static<typeof DestinationShape>> =>
  field<Static<typeof DestinationShape>>(DestinationShape, {
    control: { kind: 'destination', label },
    refs: { role: 'link', find: inDestination },
    isResolved: true,
  });

export const opensNewTab = field<Static<typeof YesShape>>(YesShape, {
  control: {
    kind: 'flag',
    label: 'Opens in',
    off: 'same tab',
    on: 'new tab',
    value: true,
    needs: 'destination',
  },
});

/** The look of a link, by the key of one of the site's variants; `button`: that of buttons. */
export const variant = field<Static<typeof KeyShape>>(KeyShape, {
  control: { kind: 'variant', label: 'Shown as' },
});

/** An icon beside its text, like that of an item. */
export const icon = field<Icon>(IconShape, { control: { kind: 'entryIcon', label: 'Icon' } });

/** A short note beside its text, like that of an item. */
export const badge = field<Badge>(BadgeShape, { control: { kind: 'badge', label: 'Badge' } });

/** An uploaded picture; not there: none was given yet, and nothing of it is delivered. */
export const picture = (label = 'Picture'): Field<Static<typeof PictureShape>> =>
  field<Static<typeof PictureShape>>(PictureShape, {
    control: { kind: 'picture', label },
    refs: { role: 'source', find: ({ file }, visit, path) => visit('file', file, [...path, 'file']) },
  });

/** What a picture says to those who do not see it. */
export const alt = field<Static<typeof TextShape>>(TextShape, {
  control: {
    kind: 'line',
    label: 'Alt text',
    unless: 'isOrnament',
    needs: 'picture',
    advice: 'Add alt text, or mark the picture as decorative.',
  },
});

/** A picture says nothing: it is there for its looks. */
export const isOrnament = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Picture is', off: 'informative', on: 'decorative', value: true },
});

/** What a picture is cropped to; not there: it keeps its own ratio. */
export const ratio = field<Static<typeof RatioShape>>(RatioShape, {
  control: {
    kind: 'choice',
    label: 'Crop',
    usual: 'none',
    choices: pictureRatios.map((value) => ({ value, label: value.replace('/', ':') })),
  },
});

export const isRounded = field<Static<typeof YesShape>>(YesShape, {
  control: { kind: 'flag', label: 'Corners', off: 'square', on: 'rounded', value: true },
});

/** In how many columns groups, or pages, stand. */
export const columns = field<Static<typeof ColumnsShape>>(ColumnsShape, {
  control: {
    kind: 'choice',
    label: 'Columns',
    choices: Array.from({ length: MOST_COLUMNS }, (_, at) => ({ value: at + 1, label: String(at + 1) })),
  },
});

/** A heading of groups that leads nowhere, or none; not there: it leads where its item does. */
export const heading = field<Static<typeof HeadingShape>>(HeadingShape, {
  control: {
    kind: 'choice',
    label: 'Heading',
    usual: 'link',
    choices: [
      { value: 'plain', label: 'text' },
      { value: 'none', label: 'none' },
    ],
  },
});

/** Only the first level of links below a heading; not there: two. */
export const levels = field<Static<typeof OneLevelShape>>(OneLevelShape, {
  control: { kind: 'flag', label: 'Levels', off: 'all', on: '1', value: 1 },
});

/** Where a form sends what was typed. */
export const address = (label: string): Field<Static<typeof LinkAddressShape>> =>
  field<Static<typeof LinkAddressShape>>(LinkAddressShape, {
    control: { kind: 'line', label },
    refs: { role: 'link', find: (value, visit, path) => visit('address', value, path) },
  });

/** Under which name a form sends what was typed. */
export const parameter = field<Static<typeof ParameterShape>>(ParameterShape, {
  control: {
    kind: 'line',
    label: 'Query parameter',
    size: 'small',
    expected: { what: 'the name of a parameter', expected: 'letters, digits, - _ and . after a letter' },
  },
});
