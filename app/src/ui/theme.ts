/** Roles of color; a face gives each of them a value. Text roles reach 7:1 on their ground. */
export interface Colors {
  paper: string;
  /** A ground set off from the paper: fields, the pressed row. */
  inset: string;
  ink: string;
  muted: string;
  hairline: string;
  /** The next act, and nothing else. */
  lime: string;
  onLime: string;
  /** Links and selection. */
  petrol: string;
  onPetrol: string;
  /** What is wrong; never without words or a shape. */
  alarm: string;
}

export const DAY_FACE: Colors = {
  paper: "#f6f1e4",
  inset: "#ece4d0",
  ink: "#17150e",
  muted: "#4b4638",
  hairline: "#c9bfa6",
  lime: "#c8f02c",
  onLime: "#17150e",
  petrol: "#00424d",
  onPetrol: "#ffffff",
  alarm: "#7a1c08",
};

export const NIGHT_FACE: Colors = {
  paper: "#11130e",
  inset: "#1f221a",
  ink: "#f3efe1",
  muted: "#c2bca9",
  hairline: "#43453b",
  lime: "#c8f02c",
  onLime: "#17150e",
  petrol: "#8fdbe4",
  onPetrol: "#0b1a1c",
  alarm: "#ffb4a0",
};

/** Distances in dp, in steps of 4. */
export const SPACE = { xs: 4, s: 8, m: 12, l: 16, xl: 24, xxl: 40 } as const;

/** Smallest side of anything pressed; it is pressed with gloves on. */
export const MIN_TARGET = 48;

/** From this width on the screen is wide: list, sheet and what it is about side by side. */
export const WIDE_FROM = 1024;

export const FONT = {
  regular: "AtkinsonHyperlegibleNext_400Regular",
  strong: "AtkinsonHyperlegibleNext_700Bold",
  mono: "AtkinsonHyperlegibleMono_500Medium",
} as const;

export const TEXT_SIZE = { small: 14, body: 17, lead: 20, title: 27, figure: 34 } as const;
