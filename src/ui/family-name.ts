/** A family as a person says it: `wet-barrel-hydrant` is "Wet barrel hydrant". */
export function familyName(id: string): string {
  const words = id.replaceAll("-", " ");
  return (words.charAt(0).toUpperCase() + words.slice(1)).replace(/\bco2\b/i, "CO2");
}
