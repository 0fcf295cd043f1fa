export function addressed(values: Readonly<Record<string, string | number | undefined>>): string {
  const given = Object.entries(values).filter((entry) => entry[1] !== undefined);
  return new URLSearchParams(given.map(([name, value]) => [name, String(value)])).toString();
}
