import { useEffect } from "react";
import { useDeskTheme } from "../instruments/local-setting.ts";

/** Keeps the page in the theme chosen for the desk; on paper it is always light. */
export function useTheme(): void {
  const [theme] = useDeskTheme();
  useEffect(() => {
    const { dataset } = document.documentElement;
    dataset.theme = theme;
    const print = () => (dataset.theme = "paper");
    const back = () => (dataset.theme = theme);
    addEventListener("beforeprint", print);
    addEventListener("afterprint", back);
    return () => {
      removeEventListener("beforeprint", print);
      removeEventListener("afterprint", back);
    };
  }, [theme]);
}
