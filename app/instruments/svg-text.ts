import type { Figure } from "../../core/figure/index.ts";

/** A drawn figure as the text of a file of its own: true size in mm, colors as they are now instead of the app's names. */
export function svgText(drawn: SVGSVGElement, figure: Figure): string {
  const copy = drawn.cloneNode(true) as SVGSVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("width", `${figure.width}mm`);
  copy.setAttribute("height", `${figure.height}mm`);
  copy.removeAttribute("class");
  copy.setAttribute("font-family", "sans-serif");
  const styles = getComputedStyle(drawn);
  const text = new XMLSerializer().serializeToString(copy);
  return text.replace(
    /var\((--[\w-]+)\)/g,
    (_whole, name: string) => styles.getPropertyValue(name).trim() || "#000",
  );
}
