export * from "./cut-direction.ts";
export * from "./face-net.ts";
export * from "./figure.ts";
export * from "./jaw-section.ts";
export * from "./path.ts";
export * from "./reference-graph.ts";
export * from "./section-view.ts";
export * from "./three-views.ts";
