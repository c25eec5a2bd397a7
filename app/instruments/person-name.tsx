import { useEffect, useState } from "react";
import { database, getSetting, setSetting } from "../../store/index.ts";
import { Field } from "./field.tsx";

/** Who stands in the log; may stay empty. */
export function PersonName() {
  const [name, setName] = useState("");
  useEffect(() => {
    void getSetting(database(), "name").then(setName);
  }, []);
  return (
    <Field
      label="Your name in the log (may stay empty)"
      value={name}
      maxLength={60}
      onChange={(e) => setName(e.target.value)}
      onBlur={() => void setSetting(database(), "name", name.trim())}
    />
  );
}
