/** What was typed for one position: several figures are several places; a figure with its unit is one. */
export function tokens(text: string): string[] {
  const parts = text.trim().split(/\s+/).filter(Boolean);
  if (parts.length > 1 && parts.every((part) => /^[\d.,/]+$/.test(part)) && !isMixed(parts)) return parts;
  return parts.length ? [text.trim()] : [];
}

/** "1 7/32" is one number. */
const isMixed = (parts: string[]): boolean =>
  parts.length === 2 && /^\d+$/.test(parts[0]!) && /^\d+\/\d+$/.test(parts[1]!);
