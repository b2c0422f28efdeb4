import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const PROJECT = join(import.meta.dirname, '..', '..');
const FOLDERS = ['src/web', 'src/words', 'src/cli', 'src/server', 'src/contract', 'src/records'];

/** What people do not say, with what is said instead. */
const SAID_OTHERWISE: readonly (readonly [RegExp, string])[] = [
  [
    /\b(?:by|in|into|of|from) the books? alone\b|\b(?:by|in|into|of) the book\b|\bthe book (?:adds|expect|want|see|say|had|has)/i,
    'the model expects; saved',
  ],
  [/\bstr(?:ike|uck) (?:it )?out\b/i, 'delete'],
  [/\btak(?:e|en) (?:it |them )?out of\b|\btake away\b/i, 'export, delete or remove'],
  [/\bb(?:ring|rought) (?:\w+ )?in\b|\bread (?:it )?in\b(?! this)/i, 'import'],
  [/\btak(?:e|en) (?:it )?back\b/i, 'undo'],
  [/\bwrit(?:e|ten) (?:it|them|this) down\b|\bwrite into\b/i, 'save'],
  [/\bput(?:s|ting)? (?:it )?off\b/i, 'postpone'],
  [/\bdry stuff\b/i, 'dry matter'],
  [/\blies at\b/i, 'bulk density'],
  [/\bwithin reach\b/i, 'available to roots'],
  [/\bready N\b|\bready to use\b/i, 'readily available N'],
  [/\bhalf-rotted mix\b/i, 'straw and hay'],
  [/\brobs?\b|\bheld (?:since|by|at most|from)\b/i, 'locks up, locked up'],
  [/\bprice of (?:the material|what)\b/i, 'extra nitrogen because of the mulch'],
  [/\bby the climate\b/i, 'for the time of year'],
  [/\bwas and came\b|\bis and went\b|\bthey differ by\b/i, 'opening balance + in; difference'],
  [/\blaying day\b/i, 'spreading day'],
  [/\b\d+ in 10\b|\bdraws\b/i, '8 times out of 10'],
  [/\bwhat (?:is|was) laid\b|\bnothing laid\b|\blay something\b/i, 'what you spread'],
  [/\bwhat it rests on\b/i, 'why'],
  [/\bbesides\b/i, 'and partly'],
];

interface Text {
  readonly words: string;
  readonly line: number;
}

/** Where a text is a name or a path for the program, and nobody reads it. */
function isForTheProgram(node: ts.Node): boolean {
  const { parent } = node;
  if (ts.isImportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return true;
  return ts.isJsxAttribute(parent) && /^(?:className|id|key|type|to|href)$/.test(parent.name.getText());
}

/** Every text of a file that may be read on screen. */
function textsOf(path: string, code: string): Text[] {
  const source = ts.createSourceFile(path, code, ts.ScriptTarget.ES2023, true);
  const found: Text[] = [];
  const visit = (node: ts.Node): void => {
    const isText =
      ts.isStringLiteral(node) ||
      ts.isNoSubstitutionTemplateLiteral(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddle(node) ||
      ts.isTemplateTail(node) ||
      ts.isJsxText(node);
    if (isText && !isForTheProgram(node)) {
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      found.push({ words: node.text.replaceAll(/\s+/g, ' '), line: line + 1 });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const filesOf = (folder: string): string[] =>
  readdirSync(join(PROJECT, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'))
    .map((file) => join(folder, file));

function breachesOf(path: string, code: string): string[] {
  return textsOf(path, code).flatMap(({ words, line }) =>
    SAID_OTHERWISE.filter(([pattern]) => pattern.test(words)).map(
      ([, instead]) => `${path}:${line}: "${words.trim()}" (say: ${instead})`,
    ),
  );
}

describe('what is read on screen', () => {
  it.each(FOLDERS)('%s says what people say', (folder) => {
    const breaches = filesOf(folder).flatMap((path) =>
      breachesOf(path, readFileSync(join(PROJECT, path), 'utf8')),
    );
    expect(breaches).toEqual([]);
  });

  it.each(FOLDERS)('%s writes no figure with an exponent', (folder) => {
    const exponents = filesOf(folder).filter((path) =>
      readFileSync(join(PROJECT, path), 'utf8').includes('.toExponential('),
    );
    expect(exponents).toEqual([]);
  });

  it('would be caught saying it otherwise', () => {
    const planted = `
      const button = <Button className="laying day">Strike out</Button>;
      const sentence = \`\${amount} is the price of what was laid.\`;
      const label = 'Lies at, kg/m³';
    `;
    const breaches = breachesOf('planted.tsx', planted);
    expect(breaches.map((breach) => breach.split(': ')[0])).toEqual([
      'planted.tsx:2',
      'planted.tsx:3',
      'planted.tsx:3',
      'planted.tsx:4',
    ]);
  });
});
