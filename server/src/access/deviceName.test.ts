import { deviceName } from "./deviceName";

it.each([
  [
    "Mozilla/5.0 (Linux; Android 14; Pixel) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0 Mobile Safari/537.36",
    "Chrome on Android",
  ],
  [
    "Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1 (KHTML, like Gecko) Version/18.0 Mobile Safari/604.1",
    "Safari on iPhone",
  ],
  [
    "Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0 Safari/537.36 Edg/130.0",
    "Edge on Windows",
  ],
  ["Mozilla/5.0 (X11; Linux x86_64; rv:131.0) Gecko/20100101 Firefox/131.0", "Firefox on Linux"],
  ["curl/8.0", "Unknown device"],
  ["", "Unknown device"],
])("names the device of %s", (userAgent, name) => {
  expect(deviceName(userAgent)).toBe(name);
});
