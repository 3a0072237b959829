import ts from 'typescript';

/** A change of a source that its tests should notice: `text` in place of what stands from `start` to `end`. */
export interface Mutation {
  readonly start: number;
  readonly end: number;
  readonly text: string;
  /** The line that it changes, from 1, and how, to be read. */
  readonly line: number;
  readonly what: string;
}

const SWAPPED: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.LessThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '<',
  [ts.SyntaxKind.GreaterThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '>',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
};

/** Every mutation of a source: operators swapped, conditions fixed, numbers off by one, statements left out. */
export function mutationsOf(source: string): Mutation[] {
  const file = ts.createSourceFile('source.ts', source, ts.ScriptTarget.Latest, true);
  const found: Mutation[] = [];
  const add = (node: ts.Node, text: string): void => {
    const [start, end] = [node.getStart(), node.getEnd()];
    const line = file.getLineAndCharacterOfPosition(start).line + 1;
    found.push({
      start,
      end,
      text,
      line,
      what: `${short(source.slice(start, end))} → ${short(text) || 'nothing'}`,
    });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const swapped = SWAPPED[node.operatorToken.kind];
      const isOfTexts = ts.isStringLiteralLike(node.left) || ts.isStringLiteralLike(node.right);
      const isSum = node.operatorToken.kind === ts.SyntaxKind.PlusToken;
      if (swapped !== undefined && !(isSum && isOfTexts)) add(node.operatorToken, swapped);
    }
    if (ts.isIfStatement(node)) {
      add(node.expression, 'true');
      add(node.expression, 'false');
    }
    if (ts.isConditionalExpression(node)) add(node.condition, `!(${node.condition.getText()})`);
    if (ts.isNumericLiteral(node) && !ts.isPropertyAssignment(node.parent)) add(node, `(${node.text} + 1)`);
    if (ts.isExpressionStatement(node) && ts.isCallExpression(unawaited(node.expression))) add(node, ';');
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

function unawaited(expression: ts.Expression): ts.Expression {
  if (ts.isAwaitExpression(expression) || ts.isVoidExpression(expression)) return expression.expression;
  return expression;
}

function short(text: string): string {
  const line = text.replaceAll(/\s+/g, ' ').trim();
  return line.length > 50 ? `${line.slice(0, 50)}…` : line;
}
