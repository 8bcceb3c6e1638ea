/** Jest has no modules of the browser's kind: there, what is fetched late is required late. */
const requiredLate = ({ template, types }) => ({
  visitor: {
    CallExpression(path) {
      if (types.isImport(path.node.callee))
        path.replaceWith(
          template.expression.ast`Promise.resolve().then(() => require(${path.node.arguments[0]}))`,
        );
    },
    ImportExpression(path) {
      path.replaceWith(template.expression.ast`Promise.resolve().then(() => require(${path.node.source}))`);
    },
  },
});

module.exports = (api) => ({
  presets: ['babel-preset-expo'],
  plugins: api.env('test') ? [requiredLate] : [],
});
