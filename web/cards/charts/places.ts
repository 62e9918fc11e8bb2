/** Pixels left of all charts for their values, and right of them: the same for each, so that one line goes through all. */
export const LEFT = 58;
export const RIGHT = 14;
