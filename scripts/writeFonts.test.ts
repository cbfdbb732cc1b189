import { withFonts } from "./writeFonts";

it("puts a face for each font into the page's head, named as the app asks for it", () => {
  const page = withFonts("<html><head><title>x</title></head><body></body></html>", ["/assets/a/Plain_400.0a1b.ttf"]);
  expect(page).toBe(
    '<html><head><title>x</title><style id="expo-generated-fonts">@font-face{font-family:"Plain_400";src:url("/assets/a/Plain_400.0a1b.ttf");font-display:swap}</style></head><body></body></html>',
  );
});
