declare module 'virtual:icon-set' {
  /** Every icon of the set; made by the plugin of that name in vite.config.ts. */
  const icons: readonly { readonly name: string; readonly path: string }[];
  export default icons;
}
