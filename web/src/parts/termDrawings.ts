/** The role of a shape; "mark" is the term itself, "gone" is worn away. */
export type Stuff = "plate" | "friction" | "rotor" | "body" | "gone" | "limit" | "line" | "mark";
export type Shape = [Stuff, path: string];

const box = (x: number, y: number, wide: number, high: number): string => `M${x} ${y}h${wide}v${high}h${-wide}z`;
const ring = (x: number, y: number, radius: number): string =>
  `M${x - radius} ${y}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0z`;

// Pads and rotor cut through, as on the other pictures; 160 by 80.
const pad: Shape[] = [
  ["plate", box(58, 10, 12, 60)],
  ["friction", box(70, 14, 28, 52)],
];
const rotor: Shape[] = [
  ["rotor", box(60, 6, 20, 40)],
  ["rotor", box(70, 46, 40, 6)],
  ["rotor", box(104, 52, 6, 22)],
];
const corner: Shape[] = [
  ["rotor", box(74, 4, 14, 72)],
  ["plate", box(52, 26, 6, 34)],
  ["friction", box(58, 28, 14, 30)],
  ["friction", box(90, 28, 14, 30)],
  ["plate", box(104, 26, 6, 34)],
];
const caliper = "M30 14h102v54h-16v-40h-70v40h-16z";
const slot: Shape[] = [
  ["body", "M20 10h30v18h-12v24h12v18h-30zM140 10h-30v18h12v24h-12v18h30z"],
  ["plate", "M52 18h56v14h12v16h-12v14h-56v-14h-12v-16h12z"],
];
const nuts = [0, 1, 2, 3, 4].map((at) => {
  const angle = (at * 2 * Math.PI) / 5 - Math.PI / 2;
  return [80 + 28 * Math.cos(angle), 40 + 28 * Math.sin(angle)] as const;
});
const star = [0, 2, 4, 1, 3, 0].map((at) => nuts[at]!.map((value) => value.toFixed(1)).join(" "));

/** By the term's id. */
export const TERM_DRAWINGS: Record<string, Shape[]> = {
  pad: [...pad, ["mark", box(56, 8, 44, 64)]],
  friction_material: [...pad, ["mark", box(70, 14, 28, 52)]],
  backing_plate: [...pad, ["mark", box(58, 10, 12, 60)]],
  overall: [...pad, ["mark", "M58 76h40M58 72v8M98 72v8"]],
  taper: [
    ["plate", box(58, 10, 12, 60)],
    ["gone", "M98 14v52h-18z"],
    ["friction", "M70 14h28l-18 52h-10z"],
  ],
  inner_pad: [...corner, ["mark", box(50, 24, 24, 38)]],
  outer_pad: [...corner, ["mark", box(88, 24, 24, 38)]],
  rotor: [...rotor, ["mark", "M58 4h24v40h30v32h-10v-22h-34v-6h-10z"]],
  hat: [...rotor, ["mark", "M70 46h40v28h-6v-22h-34z"]],
  face: [...rotor, ["mark", "M60 6v40M80 6v40"]],
  lip: [
    ["rotor", box(64, 14, 12, 32)],
    ["rotor", box(70, 46, 40, 6)],
    ["rotor", box(104, 52, 6, 22)],
    ["rotor", box(60, 6, 20, 8)],
    ["mark", box(58, 4, 24, 11)],
  ],
  vented: [
    ["rotor", box(58, 6, 8, 40)],
    ["rotor", box(76, 6, 8, 40)],
    ["rotor", "M66 10h10v4h-10zM66 20h10v4h-10zM66 30h10v4h-10zM66 40h10v6h-10z"],
    ["rotor", box(70, 46, 40, 6)],
    ["rotor", box(104, 52, 6, 22)],
    ["mark", "M66 14h10v6h-10zM66 24h10v6h-10zM66 34h10v6h-10z"],
  ],
  new_thickness: [
    ["gone", box(56, 8, 28, 60)],
    ["rotor", box(60, 8, 20, 60)],
    ["mark", "M56 75h28M56 71v8M84 71v8"],
  ],
  discard: [
    ["gone", box(56, 8, 28, 60)],
    ["rotor", box(60, 8, 20, 60)],
    ["limit", "M63 2v72M77 2v72"],
    ["mark", "M63 76h14"],
  ],
  machine_to: [
    ["rotor", box(56, 8, 28, 60)],
    ["limit", "M63 2v72M77 2v72"],
    ["mark", "M60 2v72M80 2v72"],
  ],
  variation: [
    ["rotor", "M14 30C50 22 80 38 146 27V53C110 58 60 46 14 52z"],
    ["mark", "M30 12v14M30 66v-11M100 16v15M100 66v-12"],
  ],
  runout: [
    ["gone", "M66 8l8-2 12 66-8 2z"],
    ["rotor", "M78 6l8 2-12 66-8-2z"],
    ["mark", "M92 14h18M92 14l6-4M92 14l6 4M66 14h-18M66 14l-6-4M66 14l-6 4"],
  ],
  caliper: [...corner, ["mark", caliper]],
  floating: [
    ...corner,
    ["body", caliper],
    ["line", box(46, 34, 6, 18)],
    ["mark", "M18 74h70M18 70v8M34 74l8-4M34 74l8 4"],
  ],
  fixed: [...corner, ["body", caliper], ["mark", box(46, 34, 6, 18)], ["mark", box(110, 34, 6, 18)]],
  piston: [...corner, ["body", caliper], ["mark", box(40, 34, 12, 18)]],
  piston_extension: [
    ["body", "M20 18h40v44h-40z"],
    ["line", box(30, 26, 70, 28)],
    ["mark", "M60 70h40M60 66v8M100 66v8"],
  ],
  bracket: [...slot, ["mark", "M20 10h30v18h-12v24h12v18h-30z"]],
  land: [...slot, ["mark", "M50 28h-12v24h12M110 28h12v24h-12"]],
  pad_ear: [...slot, ["mark", box(40, 32, 12, 16)]],
  clip: [...slot, ["mark", "M50 26h-14v28h14M110 26h14v28h-14"]],
  slide_pin: [
    ["body", "M20 14h30v52h-30zM110 14h30v52h-30z"],
    ["line", "M50 32q6 8 12 0q6 8 12 0v16q-6-8-12 0q-6-8-12 0z"],
    ["mark", box(36, 35, 84, 10)],
  ],
  boot: [
    ["body", "M20 14h30v52h-30zM110 14h30v52h-30z"],
    ["line", box(36, 35, 84, 10)],
    ["mark", "M50 30q6 8 12 0q6 8 12 0v20q-6-8-12 0q-6-8-12 0z"],
  ],
  squealer: [...corner, ["mark", "M110 62v8h-20v-6"]],
  star: [
    ["body", ring(80, 40, 38)],
    ...nuts.map(([x, y]): Shape => ["line", ring(x, y, 5)]),
    ["mark", `M${star.join("L")}`],
  ],
  torque_angle: [
    ["body", "M66 40l7-12h14l7 12-7 12h-14z"],
    ["mark", "M80 12a28 28 0 0 1 28 28M108 40l-6-7M108 40l6-7"],
    ["line", "M80 40V8"],
  ],
};
