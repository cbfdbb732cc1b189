import { readFileSync, readdirSync, writeFileSync } from "node:fs";
import { basename, join, relative, sep } from "node:path";

const DIST = join(__dirname, "..", "app", "dist");
const PAGE = join(DIST, "index.html");

/**
 * Writes the app's own faces into the built page, where expo-font looks for them before it makes a style of its own:
 * that one would grow with each face, and no policy can name by its hash what grows. They are not fetched ahead of the
 * scripts: until they come, once in a device's life, the text reads in the system's face.
 */
export function withFonts(page: string, fonts: readonly string[]): string {
  const faces = fonts.map(
    (path) => `@font-face{font-family:"${basename(path).split(".")[0]}";src:url("${path}");font-display:swap}`,
  );
  return page.replace("</head>", `<style id="expo-generated-fonts">${faces.join("")}</style></head>`);
}

if (require.main === module) {
  const fonts = readdirSync(join(DIST, "assets"), { recursive: true, encoding: "utf8" })
    .filter((path) => path.endsWith(".ttf"))
    .map(
      (path) =>
        `/${relative(DIST, join(DIST, "assets", path))
          .split(sep)
          .join("/")}`,
    )
    .sort();
  if (fonts.length === 0) throw new Error("the app was built without its fonts");
  writeFileSync(PAGE, withFonts(readFileSync(PAGE, "utf8"), fonts));
}
