import { expect } from 'vitest';
import type { CommandContext, Edit, Result } from '@zorvik/core';
import { contextOf } from '@zorvik/core/testing';
import type { Person } from './person.ts';
import type { Stage } from './stage.ts';
import { storedSite } from './storedSite.ts';

/** Does what a command says as somebody else: a colleague, or the site itself. An editor has to be open. */
export async function edited(
  stack: Stage['stack'],
  person: Person,
  make: (context: CommandContext) => Result<Edit>,
): Promise<void> {
  const document = await storedSite(stack, person);
  const site = `${stack.editor}/api/v1/sites/quillmere`;
  const { revision } = (await (await fetch(site)).json()) as { revision: number };
  const made = make({ ...contextOf(document, revision + 3), base: revision });
  if (!made.ok) throw new Error(made.refusal.message);
  const reply = await fetch(`${site}/edits`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(made.value),
  });
  expect(reply.status).toBe(200);
}
