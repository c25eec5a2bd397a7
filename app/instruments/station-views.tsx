import { chakra, Tabs } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link, useNavigate, useParams } from "react-router";
import type { Station } from "../../core/plan/index.ts";
import { Notice } from "./notice.tsx";
import { stationOf, type StationView, viewAt } from "./stations.ts";

/** The view of a station that the address names. */
export const useStationView = (station: Station): string => viewAt(station, useParams().view).id;

/**
 * The views of a station as tabs, each a link with its own address; under them the one that is open.
 * @param to address of a view by the last word of it
 */
export function StationViews({
  station,
  title,
  to,
  without = [],
  names = {},
  children,
}: {
  station: Station;
  /** What the station asks, for those who hear the page; a view that shows its own heading needs none. */
  title: string | null;
  to: (view: string) => string;
  /** Views this part has no use for. */
  without?: readonly string[];
  /** What a tab says instead of its name, such as how many there are. */
  names?: { [view: string]: ReactNode };
  children: ReactNode;
}) {
  const { view: named } = useParams();
  const open = viewAt(station, named).id;
  const navigate = useNavigate();
  const views = stationOf(station).views.filter((v) => !without.includes(v.id));
  return (
    <Tabs.Root
      value={valueOf(open)}
      activationMode="manual"
      navigate={({ value }) => void navigate(to(value === usual ? "" : value))}
    >
      {title !== null && <chakra.h1 srOnly>{title}</chakra.h1>}
      <Tabs.List className="no-print" aria-label={`Views of ${stationOf(station).name}`}>
        {views.map(({ id, name }: StationView) => (
          <Tabs.Trigger key={id} value={valueOf(id)} asChild>
            <Link to={to(id)}>{names[id] ?? name}</Link>
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value={valueOf(open)}>
        {named !== undefined && named !== open && (
          <Notice severity="note">
            {stationOf(station).name} has no view called "{named}"; this is the first one.
          </Notice>
        )}
        {children}
      </Tabs.Content>
    </Tabs.Root>
  );
}

/** A tab is known by a word, the first one too. */
const usual = "usual";
const valueOf = (view: string) => view || usual;
