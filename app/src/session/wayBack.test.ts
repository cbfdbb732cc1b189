import { signInFor, wayBack } from "./wayBack";

it.each([
  ["/work/01a2-b/papers/mechanicsSheet", "/work/01a2-b/papers/mechanicsSheet"],
  ["/work/01a2-b", "/work/01a2-b"],
])("leads on to %s after signing in", (path, back) => {
  const to = new URL(signInFor(path), "http://here.example").searchParams.get("to");
  expect(wayBack(to)).toBe(back);
});

it.each(["/me", "/", "/settings/papers"])(
  "%s is not come back to: whoever signs in next begins with the day",
  (path) => {
    expect(signInFor(path)).toBe("/sign-in");
  },
);

it.each(["//elsewhere.example", "https://elsewhere.example", "/work/../../x", "/work/x?y=1", undefined, ["/work/1"]])(
  "%s leads nowhere but to the day",
  (to) => expect(wayBack(to)).toBe("/"),
);
