/**
 * Whether this press is the second of a double click. What the first one chose changes the columns, and a
 * cell that goes between press and release takes its `dblclick` with it: the press itself always arrives.
 */
export const isSecondPress = (press: MouseEvent): boolean => press.button === 0 && press.detail === 2
