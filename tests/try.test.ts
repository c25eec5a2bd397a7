import { it } from "vitest";
import { demoJobs } from "/work/main/tests/support/demo-jobs.ts";
import { planFeatures } from "/work/main/core/route/index.ts";
import { siteOfPart, featuresOf } from "/work/main/core/part/index.ts";
import { effectivePart, equipment, plan } from "/work/main/core/job/index.ts";
import { demoShop, inUse } from "/work/main/core/shop/index.ts";
import { phraseText } from "/work/main/core/working/index.ts";
it("plans", () => {
  for (const job of demoJobs()) {
    const part = effectivePart(job);
    const site = siteOfPart(part)!;
    const { machine, vise, material } = equipment(job, demoShop, undefined as never);
    const p = plan({ job, records: [], shop: demoShop, piece: 1 });
    const last = p.setups.at(-1) ?? null;
    const piece = last?.after ?? ({ sizes: site.sizes, faces: {} } as never);
    const t = performance.now();
    const made = planFeatures({ part, site, features: featuresOf(part), piece, machine: machine!, vise: vise!, material: material!, shop: inUse(demoShop), own: {}, ownWays: {}, ownSeats: {}, first: [], begun: [], last });
    console.log("=====", job.id, (performance.now() - t).toFixed(0), "ms");
    for (const s of made.setups) {
      console.log(`#${s.number} ${phraseText(s.title, "mm")} ${s.minutes.cutting.toFixed(0)}+${s.minutes.handling.toFixed(0)} min; grip ${s.seat.grip} proj ${s.seat.projection} par ${s.seat.parallels?.height}`);
      for (const o of s.operations) console.log(`   ${o.key} ${o.toolName} ${phraseText(o.title,"mm")} levels ${o.levels.map(l=>l.toFixed(2)).slice(0,6)} (${o.levels.length}) ${o.set?.rpm} ${o.set?.vf.toFixed(0)} ${o.minutes.cutting.toFixed(1)} min`);
    }
    for (const r of made.refused) { console.log("REFUSED", r.feature, phraseText(r.reason, "mm"), "|", phraseText(r.suggestion, "mm")); for (const o of r.others) console.log("     ", o.name, o.up, o.refusal && phraseText(o.refusal.reason,"mm")); }
  }
});
