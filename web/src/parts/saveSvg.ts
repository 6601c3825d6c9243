const SVG = "http://www.w3.org/2000/svg";
const [GAP, EDGE, CAPTION] = [24, 16, 26];
/** Presentation attributes of SVG that style sheets set here, with what they are where nothing is said. */
const USUAL: Record<string, string> = {
  fill: "rgb(0, 0, 0)",
  "fill-opacity": "1",
  stroke: "none",
  "stroke-width": "1px",
  "stroke-opacity": "1",
  "stroke-dasharray": "none",
  "stroke-linecap": "butt",
  "stroke-linejoin": "miter",
  opacity: "1",
  "font-family": "",
  "font-size": "",
  "font-weight": "400",
  "text-anchor": "start",
  "dominant-baseline": "auto",
  "paint-order": "normal",
  "stop-color": "rgb(0, 0, 0)",
  "stop-opacity": "1",
};
/** What it does not take from the element it is in. */
const OWN = ["opacity", "stop-color", "stop-opacity"];
/** What means nothing outside the page. */
const OF_THE_PAGE = ["class", "style", "tabindex", "role", "aria-label", "aria-hidden", "aria-describedby"];

/** The drawings of a part of the page, side by side, as one SVG document that needs no style sheet. */
export function standalone(drawings: SVGSVGElement[], title: string): string {
  const whole = document.createElementNS(SVG, "svg");
  let [width, height] = [EDGE, 0];
  for (const drawing of drawings) {
    const copy = copied(drawing, null) as SVGSVGElement;
    const { width: wide, height: high } = drawing.getBoundingClientRect();
    copy.setAttribute("x", String(width));
    copy.setAttribute("y", String(EDGE));
    copy.setAttribute("width", String(wide));
    copy.setAttribute("height", String(high));
    const caption = captioned(drawing, width + wide / 2, EDGE + high + CAPTION - 8);
    whole.append(copy, ...caption);
    [width, height] = [width + wide + GAP, Math.max(height, EDGE + high + EDGE + (caption.length ? CAPTION : 0))];
  }
  width += EDGE - GAP;
  whole.setAttribute("viewBox", `0 0 ${width} ${height}`);
  whole.setAttribute("width", String(width));
  whole.setAttribute("height", String(height));
  const named = document.createElementNS(SVG, "title");
  named.textContent = title;
  whole.prepend(named, sheet(drawings[0]!));
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(whole)}\n`;
}

/** What is written under it on the page. */
function captioned(drawing: Element, x: number, y: number): Element[] {
  const said = drawing.closest("figure")?.querySelector("figcaption");
  if (!said) return [];
  const [text, style] = [document.createElementNS(SVG, "text"), getComputedStyle(said)];
  const set = { x, y, "text-anchor": "middle", fill: style.color, "font-size": style.fontSize };
  for (const [name, value] of Object.entries({ ...set, "font-family": style.fontFamily.replaceAll('"', "'") }))
    text.setAttribute(name, String(value));
  text.textContent = said.textContent;
  return [text];
}

/** The drawing's ground: it is drawn for this one, light or dark. */
function sheet(drawing: Element): Element {
  const ground = document.createElementNS(SVG, "rect");
  const colour = getComputedStyle(drawing).getPropertyValue("--sheet").trim();
  for (const [name, value] of Object.entries({ width: "100%", height: "100%", fill: colour || "#fff" }))
    ground.setAttribute(name, value);
  return ground;
}

function copied(of: Element, within: CSSStyleDeclaration | null): Element {
  const [copy, style] = [of.cloneNode(false) as Element, getComputedStyle(of)];
  for (const name of [...OF_THE_PAGE, ...copy.getAttributeNames().filter((each) => each.startsWith("on"))])
    copy.removeAttribute(name);
  for (const [name, usual] of Object.entries(USUAL)) {
    const before = within && !OWN.includes(name) ? within.getPropertyValue(name) : usual;
    const now = style.getPropertyValue(name);
    copy.removeAttribute(name);
    if (now !== before) copy.setAttribute(name, now.replaceAll('"', "'"));
  }
  for (const child of of.childNodes) {
    if (child instanceof SVGElement) {
      if (getComputedStyle(child).display !== "none") copy.append(copied(child, style));
    } else if (child.nodeType === Node.TEXT_NODE) copy.append(child.cloneNode());
  }
  return copy;
}

/** Gives a text to the browser as a file. */
export function download(text: string, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type: "image/svg+xml" }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
