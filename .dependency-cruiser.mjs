import { coreRooms, stations as stationNames } from "./rooms.mjs";

const tests = "[.]test[.]tsx?$";

/** A room may not import from rooms below it in the list. */
const roomOrder = coreRooms.slice(0, -1).map((room, i) => ({
  name: `core-order-${room}`,
  comment: `${room} imports only from rooms above it in rooms.mjs`,
  severity: "error",
  from: { path: `^core/${room}/`, pathNot: tests },
  to: { path: `^core/(${coreRooms.slice(i + 1).join("|")})/` },
}));

/** A room is entered by its door. */
const doors = coreRooms.map((room) => ({
  name: `core-door-${room}`,
  comment: `import ${room} through its index.ts`,
  severity: "error",
  from: { path: "^(core|store|app)/", pathNot: `^core/${room}/|${tests}` },
  to: { path: `^core/${room}/`, pathNot: `^core/${room}/index[.]ts$` },
}));

const stations = stationNames.map((station) => ({
  name: `station-${station}`,
  comment: "stations do not import each other",
  severity: "error",
  from: { path: `^app/stations/${station}/` },
  to: { path: `^app/stations/(?!${station}/)` },
}));

export default {
  forbidden: [
    { name: "no-cycle", severity: "error", from: {}, to: { circular: true } },
    {
      name: "core-is-pure",
      comment: "core knows no store, no app, no Dexie, no React",
      severity: "error",
      from: { path: "^core/" },
      to: {
        path: "^(store|app)/|node_modules/(dexie|react|react-dom|react-router|@chakra-ui|@emotion|comlink)/",
      },
    },
    { name: "store-below-app", severity: "error", from: { path: "^store/" }, to: { path: "^app/" } },
    {
      name: "components-do-not-touch-dexie",
      severity: "error",
      from: { path: "^app/" },
      to: { path: "node_modules/dexie/" },
    },
    {
      name: "instruments-know-no-view",
      severity: "error",
      from: { path: "^app/(instruments|theme|planner)/" },
      to: { path: "^app/(stations|routes|bench|handbook|frame)/" },
    },
    {
      name: "views-know-no-route",
      severity: "error",
      from: { path: "^app/(stations|bench|handbook|frame)/" },
      to: { path: "^app/routes/" },
    },
    {
      name: "known-room",
      comment: "every file of core lives in a room named in rooms.mjs",
      severity: "error",
      from: { path: "^core/", pathNot: `^core/(${coreRooms.join("|")})/|^core/zod[.]ts$` },
      to: {},
    },
    {
      name: "rehearse-can-disagree",
      comment: "the literal machine shares nothing with what plans, holds and locates",
      severity: "error",
      from: { path: "^core/rehearse/", pathNot: tests },
      to: { path: "^core/(measure|stock|holding|cutting|route|locate|steps|figure)/" },
    },
    {
      name: "geometry-behind-one-file",
      severity: "error",
      from: { pathNot: "^core/rehearse/solid[.]ts$" },
      to: { path: "node_modules/manifold-3d/", pathNot: "[.]wasm$" },
    },
    ...roomOrder,
    ...doors,
    ...stations,
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "default"] },
  },
};
