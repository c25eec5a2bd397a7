import { chakra } from "@chakra-ui/react";

/** A file to read; the same one can be chosen again. */
export function FileChoice({
  label,
  accept,
  onChoose,
}: {
  label: string;
  accept: string;
  onChoose: (file: File) => void;
}) {
  return (
    <chakra.label fontSize="13px" color="quiet" display="block">
      {label}
      <chakra.input
        type="file"
        accept={accept}
        display="block"
        fontSize="14px"
        minH="40px"
        color="ink"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) onChoose(file);
          e.target.value = "";
        }}
      />
    </chakra.label>
  );
}
