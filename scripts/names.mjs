import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { root } from './lib/paths.mjs';

/**
 * Names and rooms, as `npm run lint` holds them: an exported name is declared once, none of them is one that was given up for
 * the field's term, what only its own file uses is not exported, and a core name that no other package uses does not stand
 * in core's door. A folder has its README and no more than fifteen source files. Prints what is against it; 0 when nothing is.
 */

const PACKAGES = ['optimiser', 'core', 'server', 'web'];
const MOST_FILES = 15;

/** Names that were given up for the field's terms. */
const GIVEN_UP = new Set(
  `Lane alone beside Beside Beginning LaneTold Standing PlanTurns BoundTurns CountedProof worths Worths Filled Filling fillings
   Fillings mostBelow attainable Attainable standIns StandIn beyond MORE waysToUse ways around optimiseAround planAnew shareAnew
   neighbourhood Dress dressOf Bench planLeft LeftPlan watcher WatchOut together planTogether said later spoken HouseMark HOUSE`.split(
    /\s+/,
  ),
);

const isSource = (name) => /\.tsx?$/.test(name) && !/\.d\.ts$/.test(name);
const isTest = (name) => /\.test\.tsx?$/.test(name);

/** Every folder below one, itself first. */
function* folders(folder) {
  yield folder;
  for (const entry of readdirSync(folder, { withFileTypes: true }))
    if (entry.isDirectory() && entry.name !== 'node_modules') yield* folders(join(folder, entry.name));
}
const filesIn = (folder) =>
  readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isFile() && isSource(entry.name))
    .map((entry) => join(folder, entry.name));
const parse = (path) => ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);

/** Names that a file declares and exports. */
function declaredIn(file) {
  const names = new Set();
  file.forEachChild((node) => {
    if (!node.modifiers?.some((one) => one.kind === ts.SyntaxKind.ExportKeyword)) return;
    if (node.modifiers.some((one) => one.kind === ts.SyntaxKind.DefaultKeyword)) return;
    if (node.name) names.add(node.name.text);
    if (ts.isVariableStatement(node))
      for (const one of node.declarationList.declarations)
        if (ts.isIdentifier(one.name)) names.add(one.name.text);
  });
  return names;
}

/** Names that a file takes from others, with where from; `*` for everything. */
function* takenIn(file) {
  const stack = [file];
  while (stack.length > 0) {
    const node = stack.pop();
    if ((ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) && node.moduleSpecifier) {
      const from = node.moduleSpecifier.text;
      const named = ts.isImportDeclaration(node) ? node.importClause?.namedBindings : node.exportClause;
      if (named && (ts.isNamedImports(named) || ts.isNamedExports(named)))
        for (const one of named.elements)
          yield { name: (one.propertyName ?? one.name).text, from, again: ts.isExportDeclaration(node) };
      else if (named && ts.isNamespaceExport(named)) yield { name: named.name.text, from, again: true };
      else if (!ts.isImportDeclaration(node) || named)
        yield { name: '*', from, again: ts.isExportDeclaration(node) };
    } else if (ts.isPropertyAccessExpression(node) || ts.isQualifiedName(node)) {
      // What is asked of a whole module, as in trade.miterOf.
      yield { name: (ts.isQualifiedName(node) ? node.right : node.name).text, from: '', again: false };
      ts.forEachChild(node, (one) => void stack.push(one));
    } else if (ts.isCallExpression(node) && node.expression.kind === ts.SyntaxKind.ImportKeyword) {
      ts.forEachChild(node, (one) => void stack.push(one));
    } else ts.forEachChild(node, (one) => void stack.push(one));
    if (ts.isBindingElement(node) && (node.propertyName ?? node.name).text)
      yield { name: (node.propertyName ?? node.name).text, from: '', again: false };
  }
}

const faults = [];
const short = (path) => relative(root, path);

/** Exported name to the files that declare it. */
const declared = new Map();
/** Names taken by some other file, and by another package than core from core's door. */
const taken = new Set();
const takenFromCore = new Set();
for (const one of PACKAGES) {
  const source = join(root, 'packages', one, 'src');
  for (const folder of folders(source)) {
    const files = filesIn(folder);
    const own = files.filter((path) => !isTest(path));
    if (own.length > MOST_FILES)
      faults.push(
        `${short(folder)}: ${own.length} files; more than ${MOST_FILES} want folders that tell their parts`,
      );
    if (!readdirSync(folder).includes('README.md')) faults.push(`${short(folder)}: has no README.md`);
    for (const path of own)
      for (const name of declaredIn(parse(path))) declared.set(name, [...(declared.get(name) ?? []), path]);
  }
}
const everywhere = [...PACKAGES.map((one) => join('packages', one)), 'e2e', 'scripts'];
for (const folder of everywhere.flatMap((one) => [...folders(join(root, one))]))
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (!entry.isFile() || !/\.(tsx?|mjs)$/.test(entry.name)) continue;
    const path = join(folder, entry.name);
    for (const { name, from, again } of takenIn(parse(path))) {
      // A door only hands on.
      if (!again || !/index\.ts$/.test(path)) taken.add(name);
      if (
        from === '@long-miter/core' ||
        /core\/src\/index\.ts$/.test(from) ||
        /^(?:\.\.\/)+src\/index\.ts$/.test(from)
      )
        takenFromCore.add(name);
    }
  }

for (const [name, paths] of [...declared].sort()) {
  if (paths.length > 1)
    faults.push(`${name}: declared ${paths.length} times: ${paths.map(short).join(', ')}`);
  if (GIVEN_UP.has(name)) faults.push(`${short(paths[0])}: ${name} was given up for the field's term`);
  if (!taken.has(name) && !/\/main\.tsx?$/.test(paths[0]))
    faults.push(`${short(paths[0])}: ${name} is used in its own file only and exported all the same`);
}

const door = join(root, 'packages/core/src/index.ts');
for (const { name } of takenIn(parse(door)))
  if (name === '*') faults.push(`${short(door)}: hands on everything of a folder; name what others use`);
  else if (!takenFromCore.has(name) && name !== 'trade')
    faults.push(`${short(door)}: ${name} is used by no other package`);

if (faults.length > 0) console.log(faults.join('\n'));
console.log(`${declared.size} exported names, ${faults.length} faults`);
process.exit(faults.length > 0 ? 1 : 0);
