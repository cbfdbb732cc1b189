// The browser's storage, which Node does not have; what is kept shows as its keys, as there.
const kept = {};
const hidden = (value) => ({ value, enumerable: false, writable: true, configurable: true });
globalThis.localStorage = Object.defineProperties(kept, {
  getItem: hidden((key) => kept[key] ?? null),
  setItem: hidden((key, value) => void (kept[key] = String(value))),
  removeItem: hidden((key) => void delete kept[key]),
});
// What a browser does with an error that nobody could do anything about.
globalThis.reportError ??= (error) => console.error(error);
