/**
 * Every sentence a person reads, by room and file, with what is put into it in braces: to be read in one sitting, aloud.
 * It is made from the code, so that a sentence stands beside the rule it belongs to and cannot drift from it.
 */
import { execSync } from "node:child_process";
import { readFileSync } from "node:fs";
import ts from "typescript";

const files = execSync("git ls-files core app store", { encoding: "utf8" })
  .split("\n")
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\./.test(f));

/** Text of a literal, a template or what stands between tags; null for anything else. */
function textOf(node) {
  if (ts.isImportDeclaration(node.parent ?? node) || ts.isExportDeclaration(node.parent ?? node)) return null;
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  if (ts.isJsxText(node)) return node.text.replace(/\s+/g, " ").trim();
  if (!ts.isTemplateExpression(node)) return null;
  const put = (span) => span.expression.getText().replace(/\s+/g, " ").slice(0, 30);
  return node.head.text + node.templateSpans.map((s) => `{${put(s)}}${s.literal.text}`).join("");
}

for (const file of files) {
  const kind = file.endsWith("x") ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true, kind);
  const found = [];
  const visit = (node) => {
    const text = textOf(node);
    if (text && /[a-zA-Z]{2,} [a-zA-Z{]/.test(text)) {
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      found.push(`${String(line + 1).padStart(5)}  ${text}`);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  if (found.length > 0) console.log(`\n${file}\n${found.join("\n")}`);
}
