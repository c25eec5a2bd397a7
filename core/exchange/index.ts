export * from "./dxf-drawing.ts";
export * from "./dxf-in.ts";
export * from "./dxf-out.ts";
export * from "./canonical-json.ts";
export * from "./job-file.ts";
export * from "./largest-job-file.ts";
export * from "./readings-csv.ts";
export * from "./shop-csv.ts";
