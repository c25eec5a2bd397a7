import { chakra } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { database, getSetting, setSetting } from "../../store/index.ts";

/** Who stands in the log; may stay empty. */
export function PersonName() {
  const [name, setName] = useState("");
  useEffect(() => {
    void getSetting(database(), "name").then(setName);
  }, []);
  return (
    <chakra.label display="block" fontSize="13px" color="quiet" mb="8px" className="no-print">
      Your name in the log (may stay empty)
      <chakra.input
        display="block"
        value={name}
        maxLength={60}
        onChange={(e) => setName(e.target.value)}
        onBlur={() => void setSetting(database(), "name", name.trim())}
        minH="34px"
        px="8px"
        bg="sheet"
        color="ink"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="quiet"
      />
    </chakra.label>
  );
}
