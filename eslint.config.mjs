import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["build/", ".react-router/", "node_modules/", ".e2e/"] },
  ...tseslint.configs.recommendedTypeChecked,
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  { files: ["app/**/*.{ts,tsx}"], ...hooks.configs.flat.recommended },
  {
    files: ["**/*.{ts,tsx}"],
    rules: {
      "@typescript-eslint/only-throw-error": "off", // React Router throws responses and redirects
      "@typescript-eslint/consistent-type-imports": "error",
      // Leaving a field out of the rest is how a thing without it is made.
      "@typescript-eslint/no-unused-vars": ["error", { ignoreRestSiblings: true }],
      eqeqeq: "error",
    },
  },
  {
    files: ["core/**/*.ts"],
    rules: { "no-restricted-globals": ["error", "document", "window", "Date", "fetch"] },
  },
  {
    // Reference cases are data of many shapes.
    files: ["tests/reference/*.ts"],
    rules: Object.fromEntries(
      [
        "no-explicit-any",
        "no-unsafe-assignment",
        "no-unsafe-argument",
        "no-unsafe-member-access",
        "no-unsafe-return",
        "no-unsafe-call",
      ].map((rule) => [`@typescript-eslint/${rule}`, "off"]),
    ),
  },
  { files: ["**/*.mjs"], ...tseslint.configs.disableTypeChecked },
);
