import ts from 'typescript';

/** Constants of the core are written as c(value, unit, why, from). */
const CONSTANTS = /\/src\/core\/constants\/\w+\.ts$/;

/** Where the words of every constant in a source stand: all that follows its value. */
function wordsIn(source) {
  const found = [];
  const visit = (node) => {
    if (ts.isCallExpression(node) && ts.isIdentifier(node.expression) && node.expression.text === 'c') {
      const [value, ...words] = node.arguments;
      if (words.length > 0 && words.every(ts.isStringLiteralLike)) found.push([value.end, words.at(-1).end]);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** Parts of the score say what they look at, which only the page about scores shows. */
const PARTS = /\/src\/core\/fit\/parts\/\w+\.ts$/;

/** Where what a part looks at stands in a source. */
function aboutIn(source) {
  const found = [];
  const visit = (node) => {
    if (
      ts.isPropertyAssignment(node) &&
      node.name.getText(source) === 'about' &&
      ts.isStringLiteralLike(node.initializer)
    )
      found.push([node.initializer.getStart(source) + 1, node.initializer.end - 1]);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** Workers compute and explain no constant: their copies go without units, reasons and origins, a tenth of the whole. */
export const bareConstants = {
  name: 'bare-constants',
  enforce: 'pre',
  transform(code, id) {
    if (!CONSTANTS.test(id) && !PARTS.test(id)) return null;
    const source = ts.createSourceFile(id, code, ts.ScriptTarget.Latest, true);
    const words = PARTS.test(id) ? aboutIn(source) : wordsIn(source);
    const bare = words.reduceRight((text, [from, to]) => `${text.slice(0, from)}${text.slice(to)}`, code);
    return { code: bare, map: null };
  },
};
