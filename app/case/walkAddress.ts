/** The address of a case of a walk. */
export function walkAddress(key: string, through: string): string {
  return `/cases/${key}?through=${encodeURIComponent(through)}`;
}

/** Where one begins to work through several cases. */
export function walkBegin(through: string): string {
  return `/walk?through=${encodeURIComponent(through)}`;
}

/** Where what fails alike in a place is decided together. */
export function alikeAddress(through: string): string {
  return `/alike?through=${encodeURIComponent(through)}`;
}

const homes = {
  tray: () => "/",
  set: (key: string) => `/collect/${key}`,
  assignment: (key: string) => `/assignments/${key}/overview`,
};

/** Where a walk was begun. */
export function walkHome(through: string): string {
  const [kind = "tray", key = ""] = through.split(" ");
  return Object.hasOwn(homes, kind) ? homes[kind as keyof typeof homes](encodeURIComponent(key)) : "/";
}
