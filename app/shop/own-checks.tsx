import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { mm, showQuantity } from "../../core/quantity/index.ts";
import { ageOfCheck, type ShopList } from "../../core/shop/index.ts";
import { type CheckedItem, checksOf } from "../../core/sums/index.ts";
import { useUnit } from "../instruments/local-setting.ts";

const now = () => new Date().toISOString();

/** What can be tried of a thing, when it was, and what was found; nothing for things that nobody tries. */
export function OwnChecks({ list, item }: { list: ShopList; item: CheckedItem }) {
  const [unit] = useUnit();
  const checks = checksOf(list).filter((sum) => sum.keeps!.fits(item));
  if (checks.length === 0) return null;
  return (
    <Box as="fieldset" mb="14px" borderTopWidth="1.5px" borderColor="ink" pt="8px">
      <chakra.legend fontSize="14px" fontWeight="600" color="quiet" pr="10px">
        Tried in your shop
      </chakra.legend>
      <Box as="ul" listStyleType="none" columns={{ base: 1, md: 2 }} columnGap="28px">
        {checks.map((sum) => {
          const made = item.checks?.[sum.id];
          const age = made && ageOfCheck(made, sum.keeps!.lasts, now());
          return (
            <Box as="li" key={sum.id} breakInside="avoid" py="2px" fontSize="14.5px">
              <Link to={`/sums/${sum.id}`} style={{ textDecoration: "underline" }}>
                {sum.title}
              </Link>{" "}
              {made && age ? (
                <chakra.span color={age.stale ? "warn" : "ink"}>
                  {showQuantity(mm(made.found), unit, unit === "mm" ? 3 : 4)}, {made.on}
                  {age.stale && `: ${age.days} days ago, try it anew`}
                </chakra.span>
              ) : (
                <chakra.span color="quiet">not tried yet</chakra.span>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
