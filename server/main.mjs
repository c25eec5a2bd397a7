// Before anything is loaded that asks: React, its router and Express are of one mind then, and no stack with paths is answered.
process.env.NODE_ENV ??= "production";
const { createApp, listen } = await import("./app.mjs");

const app = await createApp({ demo: process.argv.includes("--demo") });
// Only this computer reaches it, unless an address to bind to is given.
const host = process.env.HOST ?? "127.0.0.1";
const { server, port } = await listen(app, Number(process.env.PORT ?? 4173), host);
console.log(`Firm Arbor is ready: http://${host.includes(":") ? `[${host}]` : host}:${port}/`);

function stop() {
  server.close(() => process.exit(0));
  server.closeAllConnections();
}
process.on("SIGTERM", stop);
process.on("SIGINT", stop);
