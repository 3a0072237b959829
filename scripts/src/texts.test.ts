import { readdirSync, readFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { type MessageFormatElement, parse, TYPE } from '@formatjs/icu-messageformat-parser';
import ts from 'typescript';

const ROOT = dirname(dirname(import.meta.dirname));
const CATALOGUES = join(ROOT, 'words', 'src', 'en');
const names = readdirSync(CATALOGUES).map((file) => basename(file, '.ts'));

async function textsOf(name: string): Promise<Record<string, string>> {
  const module = (await import(join(CATALOGUES, `${name}.ts`))) as { default: Record<string, string> };
  return module.default;
}

/** A text said somewhere, with the names of the values it is given. */
interface Said {
  readonly catalogue: string;
  readonly code: string;
  readonly given: readonly string[];
}

function sources(): string[] {
  return ['core', 'server', 'web'].flatMap((name) =>
    readdirSync(join(ROOT, name, 'src'), { withFileTypes: true, recursive: true })
      .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !entry.name.includes('.test.'))
      .map((entry) => join(entry.parentPath, entry.name)),
  );
}

function saidIn(file: string): Said[] {
  const source = readFileSync(file, 'utf8');
  const catalogue = /import \{[^}]*\bsay\b[^}]*\} from '@bright-sprout\/words\/([a-z-]+)'/.exec(source)?.[1];
  if (!catalogue) return [];
  const said: Said[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isCallExpression(node) && /^say(\.parts)?$/.test(node.expression.getText())) {
      const [code, values] = node.arguments;
      for (const one of codesIn(code)) said.push({ catalogue, code: one, given: namesIn(values) });
    }
    if (ts.isJsxSelfClosingElement(node) && node.tagName.getText() === 'Said') {
      const attributes = new Map(
        node.attributes.properties
          .filter(ts.isJsxAttribute)
          .map((one) => [one.name.getText(), one.initializer]),
      );
      const values = attributes.get('values');
      const expression = values && ts.isJsxExpression(values) ? values.expression : undefined;
      for (const one of codesIn(attributes.get('code')))
        said.push({ catalogue, code: one, given: namesIn(expression) });
    }
    ts.forEachChild(node, visit);
  };
  visit(
    ts.createSourceFile(
      file,
      source,
      ts.ScriptTarget.Latest,
      true,
      file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
    ),
  );
  return said;
}

function codesIn(node: ts.Node | undefined): string[] {
  if (!node) return [];
  if (ts.isStringLiteral(node)) return [node.text];
  return node.getChildren().flatMap(codesIn);
}

/** Names of the values of an object; `…` where it takes some from another. */
function namesIn(node: ts.Node | undefined): string[] {
  if (!node) return [];
  if (!ts.isObjectLiteralExpression(node)) return ['…'];
  return node.properties.map((property) => property.name?.getText() ?? '…');
}

/** Tags that `Said` draws by itself. */
const DRAWN = ['b', 'small', 'code'];

/** The places and tags of a text. */
function placesOf(elements: readonly MessageFormatElement[]): string[] {
  return elements.flatMap((element) => {
    if (element.type === TYPE.literal || element.type === TYPE.pound) return [];
    if (element.type === TYPE.tag) {
      return [...(DRAWN.includes(element.value) ? [] : [element.value]), ...placesOf(element.children)];
    }
    const inner =
      'options' in element ? Object.values(element.options).flatMap(({ value }) => placesOf(value)) : [];
    return [element.value, ...inner];
  });
}

const said = sources().flatMap(saidIn);

describe.each(names)('the texts of %s', (name) => {
  const of = said.filter(({ catalogue }) => catalogue === name);

  test('are read without a fault, and each is said somewhere', async () => {
    const texts = await textsOf(name);
    const codes = new Set(of.map(({ code }) => code));
    expect(Object.keys(texts).length).toBeGreaterThan(0);
    expect(Object.keys(texts).filter((code) => !codes.has(code))).toEqual([]);
  });

  test('have a value for each of their places, and no value without a place', async () => {
    const texts = await textsOf(name);
    const wrong = of.flatMap(({ code, given }) => {
      const places = [...new Set(placesOf(parse(texts[code] ?? '')))].sort();
      const names = [...new Set(given)].sort();
      const isWhole = !names.includes('…');
      const isRight = isWhole
        ? places.join() === names.join()
        : names.every((one) => one === '…' || places.includes(one));
      return isRight ? [] : [{ code, places, names }];
    });
    expect(wrong).toEqual([]);
  });
});
