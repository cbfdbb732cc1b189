// The browser's storage, which Node does not have; what is kept shows as its keys, as there.
const kept = {};
const hidden = (value) => ({ value, enumerable: false });
globalThis.localStorage = Object.defineProperties(kept, {
  getItem: hidden((key) => kept[key] ?? null),
  setItem: hidden((key, value) => void (kept[key] = String(value))),
  removeItem: hidden((key) => void delete kept[key]),
});
