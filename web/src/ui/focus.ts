/** As the ref of what a person has just asked for: it takes the focus when it appears. */
export function focusWhenShown(element: HTMLElement | null): void {
  element?.focus();
}
