import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";
import babel from "vite-plugin-babel";

/** A key in a size changes some of hundreds of figures: compiled, what shows the others is not painted again. */
const compiled = (include: RegExp, syntax: ("typescript" | "jsx")[]) =>
  babel({
    include,
    exclude: /node_modules/,
    babelConfig: {
      babelrc: false,
      configFile: false,
      parserOpts: { plugins: syntax },
      // What it cannot follow is written otherwise, not left behind.
      plugins: [["babel-plugin-react-compiler", { panicThreshold: "all_errors" }]],
    },
  });

export default defineConfig({
  plugins: [
    compiled(/\/app\/.*\.ts(\?|$)/, ["typescript"]),
    compiled(/\/app\/.*\.tsx(\?|$)/, ["typescript", "jsx"]),
    reactRouter(),
  ],
  resolve: { tsconfigPaths: true },
  worker: { format: "es" },
  optimizeDeps: {
    include: [
      "@chakra-ui/react",
      "@emotion/cache",
      "@emotion/react",
      "comlink",
      "dexie",
      "fraction.js",
      "papaparse",
      "zod",
    ],
  },
  build: {
    target: "es2022",
    // data: fonts would break font-src 'self'
    assetsInlineLimit: (file) => (/\.woff2?$/.test(file) ? false : undefined),
  },
});
