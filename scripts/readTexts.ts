import { readFileSync } from 'node:fs';
import { parse } from '@vue/compiler-sfc';
import ts from 'typescript';

/** A text that a person may read, and where it is. */
export interface FoundText {
  readonly file: string;
  readonly text: string;
}

const READ_ATTRIBUTES = new Set([
  'label',
  'title',
  'placeholder',
  'aria-label',
  'hint',
  'note',
  'off',
  'on',
  'alt',
]);

/**
 * The texts of a source file or a document: what a template shows, and every literal that reads like words.
 */
export function readTexts(file: string): FoundText[] {
  const source = readFileSync(file, 'utf8');
  if (file.endsWith('.md'))
    return source.split(/\n\s*\n/).map((text) => ({ file, text: text.replaceAll(/\s+/g, ' ') }));
  const texts = file.endsWith('.vue') ? textsOfComponent(source) : textsOfCode(source);
  return texts.map((text) => ({ file, text: text.trim().replaceAll(/\s+/g, ' ') }));
}

interface TemplateNode {
  readonly type: number;
  readonly content?: string | { readonly content: string };
  readonly props?: readonly {
    readonly name: string;
    readonly value?: { readonly content: string };
    readonly exp?: { readonly content: string };
  }[];
  readonly children?: readonly TemplateNode[];
}

function textsOfComponent(source: string): string[] {
  const { descriptor } = parse(source);
  const found = textsOfCode(descriptor.scriptSetup?.content ?? '');
  const visit = ({ content, props = [], children = [] }: TemplateNode): void => {
    if (typeof content === 'string') found.push(content);
    else if (content !== undefined) found.push(...textsOfCode(`(${content.content})`));
    for (const { name, value, exp } of props) {
      if (READ_ATTRIBUTES.has(name) && value !== undefined) found.push(value.content);
      if (exp !== undefined) found.push(...textsOfCode(`(${exp.content})`));
    }
    children.forEach(visit);
  };
  if (descriptor.template?.ast) visit(descriptor.template.ast as unknown as TemplateNode);
  return found;
}

/**
 * Single words in lower case are names of things in the code, and what begins with a sign is a selector or a
 * pattern.
 */
const isWording = (text: string): boolean => /^[\w“…<&].*\s|^[A-Z]/s.test(text.trim());

/** What a template says, with a sign where something is filled in. */
const templateText = ({ head, templateSpans }: ts.TemplateExpression): string =>
  head.text + templateSpans.map(({ literal }) => `…${literal.text}`).join('');

function textsOfCode(code: string): string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node)) return;
    const text = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? templateText(node)
        : '';
    if (isWording(text)) found.push(text);
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile('text.ts', code, ts.ScriptTarget.Latest, true));
  return found;
}
