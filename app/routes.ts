import { index, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/bench.tsx"),
  route("jobs/:jobId", "routes/job.tsx", [
    index("routes/job-index.tsx"),
    route("drawing/:view?", "routes/drawing.tsx"),
    route("stock/:view?", "routes/stock.tsx"),
    route("setups/:operation?/:view?", "routes/setups.tsx"),
    route("cuts/:operation?/:view?", "routes/cuts.tsx"),
    route("machine/:piece?/:operation?/:step?", "routes/machine.tsx"),
    route("record/:piece?/:view?", "routes/record.tsx"),
    route("*", "routes/job-missing.tsx"),
  ]),
  route("ahead/:view?", "routes/ahead.tsx"),
  route("shop/:list?", "routes/shop.tsx"),
  route("sums", "routes/sums.tsx"),
  route("sums/:sum", "routes/sum.tsx"),
  route("handbook", "routes/handbook.tsx"),
  route("handbook/materials", "routes/handbook-materials.tsx"),
  route("handbook/materials/:material", "routes/handbook-material.tsx"),
  route("handbook/tables", "routes/handbook-tables.tsx"),
  route("handbook/tables/:table", "routes/handbook-table.tsx"),
  route("handbook/cautions", "routes/handbook-cautions.tsx"),
  route("handbook/words", "routes/handbook-words.tsx"),
  route("*", "routes/missing.tsx"),
] satisfies RouteConfig;
