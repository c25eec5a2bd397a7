import { Box, chakra } from "@chakra-ui/react";
import { cautions, operationCautions } from "../../core/handbook/index.ts";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle } from "../instruments/section.tsx";
import { HandbookFrame } from "./handbook-frame.tsx";

/** The usual cautions by operation. */
export function CautionsPage() {
  return (
    <HandbookFrame place="cautions">
      <StationTitle above="Handbook">Cautions</StationTitle>
      <Notice severity="warn">
        This app advises; it never says that an operation is safe. {cautions.manual}
      </Notice>
      <Box columnGap="36px" columns={{ base: 1, md: 2 }} mt="14px">
        {operationCautions.map((group) => (
          <Box as="section" key={group.id} id={group.id} breakInside="avoid" mb="18px">
            <chakra.h2 fontSize="17px" borderTopWidth="1.5px" borderColor="ink" pt="6px">
              {group.operation}
            </chakra.h2>
            <Box as="ul" pl="18px">
              {group.cautions.map((text) => (
                <chakra.li key={text} fontSize="16px" mt="4px">
                  {text}
                </chakra.li>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </HandbookFrame>
  );
}
