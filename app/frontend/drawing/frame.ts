// Measures of the film section, px.
export const LEFT = 34
export const AXIS = 44
export const WOOD = 84
export const RIGHT = 4
