import { Box, Tabs } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link, useNavigate } from "react-router";
import { TopLine } from "../frame/top-line.tsx";
import { aheadPath, type AheadView, aheadViews } from "./views.ts";

/** Work ahead: what is planned over several jobs. */
export function AheadFrame({ view, children }: { view: AheadView; children: ReactNode }) {
  const navigate = useNavigate();
  return (
    <>
      <TopLine place="Work ahead" detail="over all jobs of this browser" />
      <Box as="main" maxW="1180px" mx="auto" px={{ base: "14px", md: "24px" }} py="12px">
        <Tabs.Root
          value={view}
          activationMode="manual"
          navigate={({ value }) => void navigate(aheadPath(value as AheadView))}
        >
          <Tabs.List className="no-print" aria-label="Views of the work ahead">
            {aheadViews.map(({ id, name }) => (
              <Tabs.Trigger key={id} value={id} asChild>
                <Link to={aheadPath(id)}>{name}</Link>
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Tabs.Content value={view}>{children}</Tabs.Content>
        </Tabs.Root>
      </Box>
    </>
  );
}
