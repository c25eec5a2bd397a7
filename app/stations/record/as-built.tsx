import { Box, chakra } from "@chakra-ui/react";
import { Printer } from "lucide-react";
import { drawnCutouts, placesOf, threeViews } from "../../../core/figure/index.ts";
import { drawnSite, featuresOf } from "../../../core/part/index.ts";
import { asBuilt, builtOf } from "../../../core/plan/index.ts";
import { mm, showDimension, tidy } from "../../../core/quantity/index.ts";
import { featureOfKey } from "../../../core/route/index.ts";
import { Button } from "../../instruments/button.tsx";
import { download, fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { Icon } from "../../instruments/icon.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useAngle } from "../../instruments/local-setting.ts";
import { Notice } from "../../instruments/notice.tsx";
import { Table } from "../../instruments/section.tsx";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { figureAsDxf } from "../../planner/use-dxf.ts";
import { FaceMap } from "./face-map.tsx";
import { verdicts } from "./verdicts.ts";

/** The part as it came out: drawn with the sizes that were read, and each beside what was drawn. */
export function AsBuilt() {
  const { job, plan, piece, unit } = useJob();
  const [angle] = useAngle();
  const rows = plan.requirements.filter((r) => r.drawn !== null);
  const part = asBuilt(job.part, plan.requirements);
  const site = drawnSite(part);
  const features = featuresOf(part);
  const numbers = new Map(features.map((f, i) => [f.id, i + 1]));
  const { figure } = threeViews(site, drawnCutouts(part, site), {
    angle,
    outside: site.sizes,
    dimensioned: features.map((f) => ({ id: f.id, face: f.face, places: placesOf(f, site) })),
  });
  const read = rows.filter((r) => builtOf(r) !== null).length;
  const name = `${fileName(job.name)}-piece-${piece}-as-built`;
  return (
    <>
      {read < rows.length && (
        <Notice severity="note">
          {read === 0 ? "Nothing was read yet" : `${read} of ${rows.length} sizes were read`}: what was not is
          drawn as on the drawing.
        </Notice>
      )}
      <Box maxW="700px" my="8px">
        <FigureView figure={figure} saveAs={name} />
      </Box>
      <Table
        label="Sizes as built"
        figures={[2, 3, 4]}
        maxH="300px"
        head={["", "size", "drawn", "as built", "off the middle of its limits", "verdict"]}
      >
        {rows.map((r) => {
          const built = builtOf(r);
          const feature = r.of.includes("/") ? featureOfKey(r.of as `${string}/${string}`) : null;
          const verdict = r.verdict && verdicts[r.verdict.verdict];
          return (
            <tr key={r.of}>
              <td>{feature && numbers.get(feature)}</td>
              <th scope="row">{r.name ? <Words of={r.name} /> : r.of}</th>
              <td>{showDimension(r.drawn!, unit)}</td>
              <td>
                {built === null ? (
                  <chakra.span color="quiet">not read</chakra.span>
                ) : (
                  <Worked at={`verdict#${r.of}`}>
                    <b>
                      <Figure of={mm(built)} decimals={3} />
                    </b>
                  </Worked>
                )}
              </td>
              <td>
                {built === null ? (
                  ""
                ) : (
                  <Figure of={mm(tidy(built - (r.limits.lower + r.limits.upper) / 2))} decimals={3} />
                )}
              </td>
              <td>
                {verdict && (
                  <chakra.b color={verdict.color}>
                    <span aria-hidden="true">{verdict.shape}</span> {verdict.words}
                  </chakra.b>
                )}
                {r.accepted && ", accepted as it is"}
              </td>
            </tr>
          );
        })}
      </Table>
      <FaceMap />
      <Box display="flex" gap="10px" mt="10px" className="no-print">
        <Button
          onClick={() =>
            void figureAsDxf(figure, unit).then((text) => download(`${name}.dxf`, text, "image/vnd.dxf"))
          }
        >
          Save DXF
        </Button>
        <Button onClick={() => print()}>
          <Icon of={Printer} /> Print
        </Button>
      </Box>
    </>
  );
}
