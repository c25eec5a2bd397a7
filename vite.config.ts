import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [reactRouter()],
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
