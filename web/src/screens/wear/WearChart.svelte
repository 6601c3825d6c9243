<script lang="ts">
  import type { ComponentProps } from "svelte";
  import "@carbon/charts-svelte/styles.css";
  import { ComboChart, type ComboChartOptions, ScaleTypes } from "@carbon/charts-svelte";
  import type { Schemas } from "../../api/client";
  import { inUnit } from "../../format/words";
  import { bands, chartRows, chartTop, type ChartRow } from "./wearRows";

  /** What we use of the library's chart object. */
  interface ChartHandle {
    services?: {
      cartesianScales?: { getMainXScale(): (value: number) => number; getMainYScale(): (value: number) => number };
      events?: { addEventListener(name: string, act: () => void): void };
    };
  }

  let { wear, positions, dark }: { wear: Schemas["Wear"]; positions: string[]; dark: boolean } = $props();
  const unit = $derived(wear.axle_name.distance_unit);
  const rows = $derived(chartRows(wear, positions, (km) => inUnit(km, unit)));
  const groups = $derived([...new Set(rows.map((row) => row.group))]);
  let drawn = $state.raw<ComponentProps<typeof ComboChart>["chart"]>();
  let holder = $state<HTMLElement>();
  const chart = $derived(drawn as unknown as ChartHandle | undefined);

  // By position, for a light and for a dark ground.
  const shades: Record<string, [string, string]> = {
    "left inner": ["#0d5a66", "#63c2d1"],
    "left outer": ["#9a6413", "#d9a451"],
    "right inner": ["#5a4fb0", "#aaa2f2"],
    "right outer": ["#a3123f", "#ff7ba2"],
    left: ["#0d5a66", "#63c2d1"],
    right: ["#a3123f", "#ff7ba2"],
  };
  const colour = (group: string) => {
    const of = Object.keys(shades).filter((name) => group.startsWith(name)).sort((a, b) => b.length - a.length)[0];
    return of ? shades[of]![dark ? 1 : 0] : "#7b878d";
  };
  const options = $derived<ComboChartOptions>({
    title: "",
    height: "380px",
    theme: dark ? "g100" : "white",
    animations: false,
    toolbar: { enabled: false },
    legend: { enabled: false },
    points: { radius: 4, filled: true },
    color: { scale: Object.fromEntries(groups.map((group) => [group, colour(group)])) },
    comboChartTypes: [
      { type: "line", options: { points: { enabled: false } }, correspondingDatasets: groups.filter((group) => group.endsWith("course") || group.endsWith("careful") || group.endsWith("far end")) },
      { type: "scatter", options: { points: { filled: true, fillOpacity: 1 } }, correspondingDatasets: groups.filter((group) => group.endsWith("readings")) },
    ],
    axes: {
      bottom: { mapsTo: "odometer", title: `Odometer (${unit})`, scaleType: ScaleTypes.LINEAR, includeZero: false, domain: domain() },
      left: { mapsTo: "mm", title: "Thickness (mm)", scaleType: ScaleTypes.LINEAR, domain: [0, chartTop(rows)], thresholds: [{ value: wear.axle.limit_mm, label: "your limit", fillColor: "var(--pad-limit)", valueFormatter: (value: number) => `${value} mm` }] },
    },
    tooltip: { customHTML: (data: ChartRow[]) => tip(data) },
  } as unknown as ComboChartOptions);

  function domain(): [number, number] {
    const all = rows.map((row) => row.odometer);
    return [Math.min(...all), Math.max(...all)];
  }

  function tip(data: ChartRow[]): string {
    const row = data[0];
    return row ? `<ul class="multi-tooltip"><li><div class="datapoint-tooltip"><p class="label">${row.text}</p></div></li></ul>` : "";
  }

  // The library draws neither error bars nor a band that ends in a point; they are laid over its own scales after each drawing.
  function overlay() {
    const svg = holder?.querySelector<SVGGElement>(".layout-svg-wrapper .cds--cc--scatter");
    const scales = chart?.services?.cartesianScales;
    if (!svg || !scales) return;
    const [x, y] = [scales.getMainXScale(), scales.getMainYScale()];
    svg.querySelector(".error-bars")?.remove();
    const group = document.createElementNS("http://www.w3.org/2000/svg", "g");
    group.setAttribute("class", "error-bars");
    for (const band of bands(rows)) {
      const path = document.createElementNS("http://www.w3.org/2000/svg", "path");
      path.setAttribute("d", `M${band.map((row) => `${x(row.odometer)} ${y(row.mm)}`).join("L")}Z`);
      path.setAttribute("fill", colour(band[0]!.group));
      path.setAttribute("fill-opacity", "0.16");
      group.append(path);
    }
    for (const row of rows.filter((each) => each.low !== undefined)) {
      const path = document.createElementNS("http://www.w3.org/2000/svg", "path");
      const [cx, top, bottom] = [x(row.odometer), y(row.high!), y(row.low!)];
      path.setAttribute("d", `M${cx} ${top}V${bottom}M${cx - 4} ${top}h8M${cx - 4} ${bottom}h8`);
      path.setAttribute("stroke", colour(row.group));
      path.setAttribute("stroke-width", "1.6");
      if (row.doubted) path.setAttribute("stroke-dasharray", "3 3");
      group.append(path);
    }
    svg.prepend(group);
  }

  $effect(() => {
    if (!chart) return;
    void rows;
    const frame = requestAnimationFrame(overlay);
    chart.services?.events?.addEventListener("render-finished", overlay);
    return () => cancelAnimationFrame(frame);
  });
</script>

<div bind:this={holder}><ComboChart bind:chart={drawn} data={rows} {options} /></div>
