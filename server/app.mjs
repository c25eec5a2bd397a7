import { randomBytes } from "node:crypto";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import { RouterContextProvider } from "react-router";
import { contentSecurityPolicy } from "./policy.mjs";

/**
 * The production server: static files of the build, everything else to React Router.
 * @param {{ demo?: boolean }} options demo: offer to load the demo jobs when the browser's database is empty
 */
export async function createApp({ demo = false } = {}) {
  const build = await import("../build/server/index.js");
  const app = express();
  app.disable("x-powered-by");
  app.use((request, response, next) => {
    const nonce = randomBytes(16).toString("base64");
    response.locals.nonce = nonce;
    response.setHeader("Content-Security-Policy", contentSecurityPolicy(nonce));
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "same-origin");
    next();
  });
  app.use(compression());
  app.use("/assets", express.static("build/client/assets", { immutable: true, maxAge: "1y" }));
  app.use(express.static("build/client", { maxAge: 0, index: false }));
  app.all(
    "/{*path}",
    createRequestHandler({
      build,
      mode: "production",
      getLoadContext: (_request, response) => {
        const context = new RouterContextProvider();
        context.set(build.entry.module.nonceContext, response.locals.nonce);
        context.set(build.entry.module.demoContext, demo);
        return context;
      },
    }),
  );
  return app;
}

/** Listens on 127.0.0.1; the next port when one is busy. Resolves to the server and its port. */
export function listen(app, port, tries = 20) {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, "127.0.0.1");
    server.on("listening", () => resolve({ server, port: server.address().port }));
    server.on("error", (error) => {
      if (error.code === "EADDRINUSE" && tries > 0 && port !== 0) resolve(listen(app, port + 1, tries - 1));
      else reject(error);
    });
  });
}
