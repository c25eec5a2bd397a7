import { createApp, listen } from "./app.mjs";

const app = await createApp({ demo: process.argv.includes("--demo") });
const { server, port } = await listen(app, Number(process.env.PORT ?? 4173));
console.log(`Firm Arbor is ready: http://127.0.0.1:${port}/`);

function stop() {
  server.close(() => process.exit(0));
  server.closeAllConnections();
}
process.on("SIGTERM", stop);
process.on("SIGINT", stop);
