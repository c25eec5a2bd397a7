import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link } from "react-router";
import type { SetupState } from "../../core/plan/index.ts";
import { quantity } from "../../core/quantity/index.ts";
import type { JobCard, KeptGlance } from "../../store/index.ts";
import { Button, ButtonLink } from "../instruments/button.tsx";
import { Input } from "../instruments/field.tsx";
import { Figure, Words } from "../instruments/words.tsx";
import { PartPicture } from "./part-picture.tsx";

const JobLink = chakra(Link);

const strip: Record<SetupState, { bg: string; borderColor: string }> = {
  planned: { bg: "transparent", borderColor: "quiet" },
  "being cut": { bg: "accent", borderColor: "accent" },
  done: { bg: "good", borderColor: "good" },
  blocked: { bg: "stop", borderColor: "stop" },
};

/** A job on the bench: the part, how far its setups are, the next thing to do, how long it still takes, and the way there. */
export function JobLine({
  job,
  kept,
  when,
  onCopy,
  onArchive,
  onTags,
}: {
  job: JobCard;
  /** What is known of it at a glance; nothing yet for one that was just brought in. */
  kept: KeptGlance | undefined;
  when: string;
  onCopy: () => void;
  onArchive: () => void;
  /** Tags as they were typed. */
  onTags: (text: string) => void;
}) {
  const [typing, setTyping] = useState<string | null>(null);
  const keepTags = (text: string) => {
    onTags(text);
    setTyping(null);
  };
  const glance = kept?.glance;
  const begun = glance?.state === "in work";
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: "84px minmax(0, 1fr)", md: "112px minmax(0, 8fr) minmax(0, 5fr) 150px" }}
      gap={{ base: "4px 12px", md: "18px" }}
      alignItems="center"
      borderTopWidth="1px"
      py="6px"
    >
      <PartPicture of={kept?.picture ?? null} />
      <Box minW="0">
        <JobLink to={`/jobs/${job.id}/drawing`} display="block" py="2px">
          <chakra.b id={`job-${job.id}`} fontSize="18px">
            {job.name || "Unnamed job"}
          </chakra.b>
        </JobLink>
        <chakra.p fontSize="13.5px" color="quiet">
          {job.sheet}
          {glance && glance.part.parts.length > 0 && (
            <>
              {job.sheet && " · "}
              <Words of={glance.part} />
            </>
          )}
        </chakra.p>
        <Box fontSize="13px" color="quiet" display="flex" alignItems="center" flexWrap="wrap">
          saved {when}
          <Button look="quiet" onClick={onCopy} aria-label={`Copy ${job.name}`}>
            Copy
          </Button>
          <Button look="quiet" onClick={onArchive} aria-label={`Archive ${job.name}`}>
            Archive
          </Button>
          {typing === null && (
            <Button
              look="quiet"
              onClick={() => setTyping((job.tags ?? []).join(", "))}
              aria-label={`Tags of ${job.name}`}
            >
              {job.tags?.length ? `tags: ${job.tags.join(", ")}` : "Tag"}
            </Button>
          )}
        </Box>
        {typing !== null && (
          <Box display="flex" gap="6px" alignItems="center" mt="2px">
            <Input
              autoFocus
              aria-label={`Tags of ${job.name}, with commas between`}
              placeholder="for the winch, urgent"
              value={typing}
              maxLength={200}
              flex="1"
              onChange={(e) => setTyping(e.target.value)}
              onKeyDown={(e) => {
                if (e.key === "Enter") keepTags(typing);
                if (e.key === "Escape") setTyping(null);
              }}
            />
            <Button onClick={() => keepTags(typing)}>Keep</Button>
          </Box>
        )}
      </Box>
      <Box minW="0" gridColumn={{ base: "1 / -1", md: "auto" }}>
        {glance && glance.setups.length > 0 && (
          <Box
            display="flex"
            gap="4px"
            mb="5px"
            role="img"
            aria-label={`${glance.setups.filter((s) => s === "done").length} of ${glance.setups.length} setups done`}
          >
            {glance.setups.map((state, i) => (
              <Box
                key={i}
                width="24px"
                height="9px"
                borderWidth="1px"
                borderStyle="solid"
                {...strip[state]}
              />
            ))}
          </Box>
        )}
        <chakra.p fontSize="15px" color={glance?.blocked ? "stop" : "ink"}>
          {glance ? (
            <>
              {glance.blocked && <span aria-hidden="true">■ </span>}
              <Words of={glance.next} />
            </>
          ) : job.status ? (
            <Words of={job.status} />
          ) : (
            "not opened yet"
          )}
        </chakra.p>
      </Box>
      <Box
        display="flex"
        gap="12px"
        alignItems="center"
        justifyContent="flex-end"
        gridColumn={{ base: "1 / -1", md: "auto" }}
      >
        {glance && glance.left > 0 && (
          <Box textAlign="right" lineHeight="1.2">
            <b>
              <Figure of={quantity("time", glance.left)} />
            </b>
            <chakra.span display="block" fontSize="13px" color="quiet">
              left
            </chakra.span>
          </Box>
        )}
        <ButtonLink
          to={`/jobs/${job.id}/${begun ? "machine" : glance?.state === "finished" ? "record" : "drawing"}`}
          look={begun ? "strong" : "plain"}
          aria-describedby={`job-${job.id}`}
        >
          {begun ? "At the machine" : "Open"}
        </ButtonLink>
      </Box>
    </Box>
  );
}
