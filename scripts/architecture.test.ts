import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** The house's rules about who may import whom (docs/architecture.md), held against the files as they are. */
const root = fileURLToPath(new URL('..', import.meta.url));

interface Import {
  readonly from: string;
  readonly to: string;
  readonly isType: boolean;
}

const files = sourcesBelow(join(root, 'packages')).concat(sourcesBelow(join(root, 'demo')));
const imports = files.flatMap(importsOf);

function sourcesBelow(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'node_modules' ? [] : sourcesBelow(path);
    return /\.(?:ts|vue)$/.test(entry.name) && !/\.(?:config|test)\.ts$/.test(entry.name) ? [path] : [];
  });
}

function importsOf(file: string): Import[] {
  const text = readFileSync(file, 'utf8');
  const found = text.matchAll(
    /(?:^|\n)\s*(?:import|export)\s+(type\s)?([^'"`;]*?)from\s+['"]([^'"]+)['"]|import\(['"]([^'"]+)['"]\)|(?:^|\n)import\s+['"]([^'"]+)['"]/g,
  );
  return [...found].map(([, type, names = '', from, dynamic, bare]) => {
    const target = from ?? dynamic ?? bare ?? '';
    const path = target.startsWith('.') ? relative(root, resolve(dirname(file), target)) : target;
    const onlyTypes =
      type !== undefined ||
      (/^\s*\{/.test(names) &&
        names
          .replace(/[{}\s]/g, '')
          .split(',')
          .filter(Boolean)
          .every((_, at) => /\btype\s/.test(names.split(',')[at] ?? '')));
    return { from: relative(root, file), to: path, isType: onlyTypes };
  });
}

const inFolder =
  (folder: string) =>
  (path: string): boolean =>
    path.startsWith(`${folder}/`);
/** Breaches of a rule, each as "the file imports that: the rule". */
function breaches(rule: string, isBroken: (one: Import) => boolean): string[] {
  return imports.filter(isBroken).map(({ from, to }) => `${from} imports ${to}: ${rule}`);
}

describe('the architecture', () => {
  const rooms = [
    'base',
    'colour',
    'html',
    'anatomy',
    'schema',
    'walk',
    'refs',
    'model',
    'ops',
    'upgrades',
    'diff',
    'panel',
    'style',
    'parts',
    'resolve',
    'fit',
    'contrast',
    'render',
    'drift',
    'checks',
    'history',
    'commands',
    'saving',
  ];
  const roomOf = (path: string): number =>
    rooms.indexOf(/^packages\/core\/src\/(\w+)\//.exec(path)?.[1] ?? '');

  it('has files to look at, and finds their imports', () => {
    expect(files.length).toBeGreaterThan(120);
    expect(imports.length).toBeGreaterThan(400);
    expect(imports.some(({ from, to }) => from.endsWith('moveItem.ts') && to.endsWith('defineMove.ts'))).toBe(
      true,
    );
  });

  it('in core, a room imports only rooms above it', () => {
    const rule = `a room imports only rooms above it (${rooms.join(', ')})`;
    expect(
      breaches(rule, ({ from, to, isType }) => !isType && roomOf(from) >= 0 && roomOf(to) > roomOf(from)),
    ).toEqual([]);
  });

  it('core stands on TypeBox and culori alone, formats and contract on core, server and web never on each other', () => {
    const allowed: Readonly<Record<string, RegExp>> = {
      'packages/core/src': /^(?:packages\/core\/src\/|typebox(?:\/value)?$|culori\/fn$)/,
      'packages/formats/src':
        /^(?:packages\/formats\/src\/|@zorvik\/core$|saxes$|parse5$|papaparse$|css-tree$|harfbuzzjs$|brotli\/decompress$|bidi-js$)/,
      'packages/contract/src': /^(?:packages\/contract\/src\/|@zorvik\/core$|typebox(?:\/value)?$)/,
    };
    for (const [folder, pattern] of Object.entries(allowed)) {
      expect(
        breaches(
          `${folder} imports only ${pattern}`,
          ({ from, to }) => inFolder(folder)(from) && !pattern.test(to),
        ),
      ).toEqual([]);
    }
    expect(
      breaches(
        'server and web never import each other',
        ({ from, to }) => inFolder('packages/server')(from) && /@zorvik\/web|packages\/web/.test(to),
      ),
    ).toEqual([]);
    expect(
      breaches(
        'server and web never import each other',
        ({ from, to }) => inFolder('packages/web')(from) && /@zorvik\/server|packages\/server/.test(to),
      ),
    ).toEqual([]);
    expect(
      breaches(
        'packages are imported by name',
        ({ from, to }) =>
          /^packages\/(\w+)\//.exec(from)?.[1] !==
          (/^packages\/(\w+)\//.exec(to)?.[1] ?? /^packages\/(\w+)\//.exec(from)?.[1]),
      ),
    ).toEqual([]);
  });

  it('the stand-in site knows Zorvik by its delivery address alone', () => {
    expect(
      breaches(
        'the site talks to Zorvik by HTTP',
        ({ from, to }) => inFolder('demo/site')(from) && /@zorvik/.test(to),
      ),
    ).toEqual([]);
  });

  it('inside a package one imports the file, never the entry', () => {
    expect(
      breaches(
        'import the file, not the entry',
        ({ from, to }) => /^packages\/\w+\/src\/index\.ts$/.test(to) && from !== to,
      ),
    ).toEqual([]);
  });

  const layered = (folder: string, layers: readonly string[]): string[] => {
    const layerOf = (path: string): number =>
      layers.findIndex((layer) => path.startsWith(`packages/${folder}/src/${layer}/`));
    return breaches(
      `${layers.join(' -> ')}`,
      ({ from, to, isType }) => !isType && layerOf(to) >= 0 && layerOf(from) > layerOf(to),
    );
  };

  it('in web: views, components, composables, stores, api; in server: routes, editing, repositories, db', () => {
    expect(layered('web', ['views', 'components', 'composables', 'stores', 'api'])).toEqual([]);
    expect(layered('server', ['routes', 'announcing', 'editing', 'delivery', 'repositories', 'db'])).toEqual(
      [],
    );
    const fetching = files.filter(
      (file) => /packages\/web\/src\/(?!api\/)/.test(file) && /\bfetch\(/.test(readFileSync(file, 'utf8')),
    );
    expect(fetching.map((file) => `${relative(root, file)}: only api/ fetches`)).toEqual([]);
    expect(
      breaches(
        'only stores and workers ask the server',
        ({ from, to, isType }) =>
          !isType &&
          /^packages\/web\/src\/(?:views|components|composables|live|shortcuts|theme)\//.test(from) &&
          to.startsWith('packages/web/src/api/'),
      ),
    ).toEqual([]);
    const querying = files.filter(
      (file) =>
        /packages\/server\/src\/(?!repositories\/|db\/)/.test(file) &&
        /\bsql`/.test(readFileSync(file, 'utf8')),
    );
    expect(querying.map((file) => `${relative(root, file)}: only repositories/ ask the database`)).toEqual(
      [],
    );
    const reading = files.filter(
      (file) => /packages\/server\/src\//.test(file) && /process\.env/.test(readFileSync(file, 'utf8')),
    );
    expect(
      reading.map((file) => relative(root, file)),
      'the entries hand the environment to config.ts',
    ).toEqual(
      [
        'packages/server/src/archiveMain.ts',
        'packages/server/src/main.ts',
        'packages/server/src/config.ts',
      ].filter((one) => reading.some((file) => file.endsWith(one))),
    );
  });

  it('has no circles', () => {
    const after = new Map<string, string[]>();
    for (const { from, to, isType } of imports)
      if (!isType) after.set(from, [...(after.get(from) ?? []), to]);
    const state = new Map<string, 'open' | 'done'>();
    const circles: string[] = [];
    const visit = (file: string, trail: readonly string[]): void => {
      if (state.get(file) === 'done') return;
      if (state.get(file) === 'open')
        return void circles.push([...trail.slice(trail.indexOf(file)), file].join(' -> '));
      state.set(file, 'open');
      for (const next of after.get(file) ?? []) visit(next, [...trail, file]);
      state.set(file, 'done');
    };
    for (const file of after.keys()) visit(file, []);
    expect(circles).toEqual([]);
  });
});

describe('core’s entry', () => {
  it('says of everything that it exports what it is', () => {
    const entry = join(root, 'packages/core/src/index.ts');
    const options: ts.CompilerOptions = {
      module: ts.ModuleKind.ESNext,
      moduleResolution: ts.ModuleResolutionKind.Bundler,
      allowImportingTsExtensions: true,
      noEmit: true,
      noLib: true,
    };
    const program = ts.createProgram([entry], options);
    const checker = program.getTypeChecker();
    const source = program.getSourceFile(entry);
    const module = source === undefined ? undefined : checker.getSymbolAtLocation(source);
    const exported = module === undefined ? [] : checker.getExportsOfModule(module);
    const silent = exported.filter((symbol) => {
      const named = symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol;
      return named.getDocumentationComment(checker).length === 0;
    });
    expect(exported.length).toBeGreaterThan(400);
    expect(silent.map(({ name }) => name)).toEqual([]);
  });
});
