let keepsDown = false;

/** Whether the school's letters keep the pen on the paper as long as they can. */
export const keepsPenDown = () => keepsDown;

export function setPenDown(down: boolean) {
  keepsDown = down;
}
