/** A key as printed on the button that it presses. */
export function KeyCap({ children }: { readonly children: string }) {
  return <kbd className="key-cap">{children}</kbd>;
}
