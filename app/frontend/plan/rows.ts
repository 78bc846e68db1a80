// How high a row of the shop plan is, in pixels: a pair of hands, a place.
export const LANE = 46
export const PLACE = 40
