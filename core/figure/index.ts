export * from "./cut-direction.ts";
export * from "./face-net.ts";
export * from "./figure.ts";
export * from "./jaw-section.ts";
export * from "./three-views.ts";
export * from "./reference-graph.ts";
