/** Every icon of the set by its name, as `content-copy`. Large: loaded when somebody looks for one. */
export async function iconSet(): Promise<readonly { readonly name: string; readonly path: string }[]> {
  return (await import('virtual:icon-set')).default;
}
