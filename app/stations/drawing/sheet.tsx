import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { fileName } from "../../instruments/download.ts";
import { InMargin } from "../../instruments/in-margin.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { AddMenu } from "./add-menu.tsx";
import { ChosenFeature } from "./chosen-feature.tsx";
import { DxfChoice, DxfShapes, useDxfFile } from "./dxf-import.tsx";
import { Schedule } from "./schedule.tsx";
import { ShaftSections } from "./shaft-sections.tsx";
import { TitleBlock } from "./title-block.tsx";
import { useDrawn } from "./use-drawn.ts";
import { type Spot, useFeatures } from "./use-features.ts";
import { Views } from "./views.tsx";

/** The drawing as a sheet: its views, what is on it, its title block. What is chosen on it is edited in the margin. */
export function Sheet() {
  const { job, plan, own } = useJob();
  const { part } = job;
  // What is open stands in the address: a feature can be gone to from anywhere.
  const [search, setSearch] = useSearchParams();
  const setOpen = (id: string | null) =>
    setSearch(id ? { feature: id } : {}, { replace: true, preventScrollReset: true });
  const [spot, setSpot] = useState<Spot | null>(null);
  /** Just put in: the keyboard goes on there. */
  const [fresh, setFresh] = useState<string | null>(null);
  const { site, features, cutouts } = useDrawn(part);
  const open = features.find((f) => f.id === search.get("feature")) ?? null;
  const openId = open?.id ?? null;
  const actions = useFeatures(site, (id) => {
    setFresh(id);
    setSpot(null);
    setOpen(id);
  });
  const toggle = (id: string) => {
    setFresh(null);
    setOpen(openId === id ? null : id);
  };
  const dxf = useDxfFile();

  return (
    <>
      {(plan.target === null || part.material === null) && (
        // What is still wanting before anything can be planned, one thing at a time.
        <Warnings of={plan.findings.filter((f) => !f.feature).slice(0, 1)} />
      )}
      <Views
        site={site}
        cutouts={cutouts}
        open={open}
        onOpen={setOpen}
        onSpot={setSpot}
        saveAs={`${fileName(job.name)}-views`}
        add={
          <>
            <AddMenu form={part.shaft ? "shaft" : "block"} onAdd={(kind) => actions.add(kind, spot)} />
            <chakra.span fontSize="14px" role="status">
              {spot && `It goes ${spot.said}.`}
            </chakra.span>
          </>
        }
        read={part.shaft ? null : <DxfChoice file={dxf} />}
        beside={<Schedule features={features} findings={plan.findings} open={openId} onToggle={toggle} />}
        foot={
          <TitleBlock
            name={job.name}
            sheet={job.sheet}
            quantity={job.quantity}
            turned={part.shaft !== null}
            material={part.material}
            general={part.general}
            own={own}
          />
        }
      />
      {open && (
        <InMargin>
          <ChosenFeature
            key={open.id}
            feature={open}
            features={features}
            found={plan.findings.filter((f) => f.feature === open.id)}
            site={site}
            fresh={fresh === open.id}
            actions={actions}
            onClose={() => setOpen(null)}
          />
        </InMargin>
      )}
      {part.shaft && <ShaftSections shaft={part.shaft} />}
      <DxfShapes file={dxf} site={site} />
    </>
  );
}
