import { index, type RouteConfig } from "@react-router/dev/routes";

export default [index("routes/bench.tsx")] satisfies RouteConfig;
