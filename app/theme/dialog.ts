import { defineSlotRecipe } from "@chakra-ui/react";

/** A dialog stands over everything, its frame in ink; what is behind it is dimmed and hears no key. */
export const dialog = defineSlotRecipe({
  className: "fa-dialog",
  slots: [
    "trigger",
    "backdrop",
    "positioner",
    "content",
    "title",
    "description",
    "closeTrigger",
    "header",
    "body",
    "footer",
  ],
  base: {
    backdrop: { position: "fixed", inset: "0", zIndex: "100", bg: "rgba(10, 14, 18, 0.45)" },
    positioner: {
      position: "fixed",
      inset: "0",
      zIndex: "101",
      display: "flex",
      justifyContent: "center",
      alignItems: "flex-start",
      overflowY: "auto",
      px: "12px",
      pt: "8vh",
      pb: "24px",
    },
    content: {
      bg: "ground",
      color: "ink",
      borderRadius: "sm",
      borderWidth: "2px",
      borderStyle: "solid",
      borderColor: "ink",
      width: "100%",
      maxW: "620px",
      p: "14px",
      outline: "none",
    },
    title: { fontSize: "14px", fontWeight: "600", color: "quiet", mb: "6px" },
  },
});
