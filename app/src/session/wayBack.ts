/** Pages a link leads to that was sent to somebody of ours. */
const LINKED = /^\/work\/[\w-]+(?:\/[\w/-]*)?$/;

/** The sign-in that leads on to where somebody was going, where that was a work order or a paper of one. @example signInFor("/work/1") //=> "/sign-in?to=%2Fwork%2F1" */
export function signInFor(pathname: string): `/sign-in${string}` {
  return LINKED.test(pathname) ? `/sign-in?to=${encodeURIComponent(pathname)}` : "/sign-in";
}

/** Where one goes on from the sign-in; anything but a page of ours is the day. @example wayBack("https://elsewhere.example") //=> "/" */
export function wayBack(to: unknown): `/${string}` {
  return typeof to === "string" && LINKED.test(to) ? `/${to.slice(1)}` : "/";
}
