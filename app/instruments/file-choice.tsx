import { FileUpload } from "@chakra-ui/react";
import { Button } from "./button.tsx";

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
    <FileUpload.Root
      accept={accept}
      // What a file is called and what is in it is told by who reads it.
      onFileChange={({ acceptedFiles, rejectedFiles }) => {
        const file = acceptedFiles[0] ?? rejectedFiles[0]?.file;
        if (file) onChoose(file);
      }}
    >
      <FileUpload.HiddenInput aria-label={label} />
      <FileUpload.Trigger asChild>
        <Button>{label}</Button>
      </FileUpload.Trigger>
    </FileUpload.Root>
  );
}
