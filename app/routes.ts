import { index, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/bench.tsx"),
  route("jobs/:jobId", "routes/job.tsx", [
    index("routes/job-index.tsx"),
    route("drawing", "routes/drawing.tsx"),
    route("stock", "routes/stock.tsx"),
    route("setups/:operation?", "routes/setups.tsx"),
    route("cuts/:operation?", "routes/cuts.tsx"),
    route("machine/:operation?/:step?", "routes/machine.tsx"),
    route("record", "routes/record.tsx"),
    route("*", "routes/job-missing.tsx"),
  ]),
  route("handbook/materials", "routes/handbook-materials.tsx"),
  route("*", "routes/missing.tsx"),
] satisfies RouteConfig;
