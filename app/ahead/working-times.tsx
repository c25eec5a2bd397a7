import { Box } from "@chakra-ui/react";
import { useState } from "react";
import type { WorkingTimes as Worked } from "../../core/plan/index.ts";
import { Button } from "../instruments/button.tsx";
import { Check } from "../instruments/check.tsx";
import { Field } from "../instruments/field.tsx";
import { Notice } from "../instruments/notice.tsx";
import { clock, dayName } from "./day-words.ts";

const weekdays = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;

/** Hours, days and people, and the day it begins. */
export function Times({
  times,
  start,
  onStart,
  onTimes,
}: {
  times: Worked;
  start: string;
  onStart: (day: string) => void;
  onTimes: (times: Worked) => void;
}) {
  const [hours, setHours] = useState<string | null>(null);
  const [people, setPeople] = useState<string | null>(null);
  const typedHours = Number((hours ?? String(times.hours)).replace(",", "."));
  const typedPeople = Number(people ?? times.people);
  const hoursOk = typedHours >= 0.25 && typedHours <= 24;
  const peopleOk = Number.isInteger(typedPeople) && typedPeople >= 1 && typedPeople <= 50;
  return (
    <Box className="no-print" display="flex" gap="8px 18px" flexWrap="wrap" alignItems="flex-end" mb="8px">
      <Field
        label="From"
        type="date"
        value={start}
        onChange={(e) => e.target.value && onStart(e.target.value)}
      />
      <Field
        label="Work begins at"
        type="time"
        value={clock(times.begins)}
        onChange={(e) => {
          const [h, m] = e.target.value.split(":").map(Number);
          if (h !== undefined && m !== undefined) onTimes({ ...times, begins: h * 60 + m });
        }}
      />
      <Field
        label="Hours a day at the machines"
        value={hours ?? String(times.hours)}
        width="100px"
        inputMode="decimal"
        onChange={(e) => setHours(e.target.value)}
        onBlur={() => {
          if (hoursOk && hours !== null) onTimes({ ...times, hours: typedHours });
          if (hoursOk) setHours(null);
        }}
      />
      <Field
        label="People"
        value={people ?? String(times.people)}
        width="80px"
        inputMode="numeric"
        onChange={(e) => setPeople(e.target.value)}
        onBlur={() => {
          if (peopleOk && people !== null) onTimes({ ...times, people: typedPeople });
          if (peopleOk) setPeople(null);
        }}
      />
      <Box display="flex" gap="2px 10px" flexWrap="wrap" role="group" aria-label="Days that are worked">
        {weekdays.map((name, i) => (
          <Check
            key={name}
            checked={times.days[i]!}
            onCheck={(on) => onTimes({ ...times, days: times.days.with(i, on) })}
          >
            {name}
          </Check>
        ))}
      </Box>
      <Field
        label="Nobody works on"
        type="date"
        value=""
        onChange={(e) => {
          const day = e.target.value;
          if (/^2\d{3}-\d\d-\d\d$/.test(day) && !times.off.includes(day))
            onTimes({ ...times, off: [...times.off, day].sort() });
        }}
      />
      {times.off
        .filter((day) => day >= start)
        .map((day) => (
          <Button
            key={day}
            look="quiet"
            onClick={() => onTimes({ ...times, off: times.off.filter((d) => d !== day) })}
          >
            {dayName(day)} off, work again
          </Button>
        ))}
      {!hoursOk && (
        <Notice severity="warn">Hours a day are between 0.25 and 24. What you typed stays.</Notice>
      )}
      {!peopleOk && (
        <Notice severity="warn">People are a whole number from 1 to 50. What you typed stays.</Notice>
      )}
      {!times.days.includes(true) && <Notice severity="warn">No day of the week is worked: tick one.</Notice>}
    </Box>
  );
}
