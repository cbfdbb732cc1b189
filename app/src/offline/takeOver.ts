/** What a page tells the newer version of the app that waits: to take over. */
export const TAKE_OVER = "take-over";
