/**
 * Words of the ferry scene by what they stand for: one of a row may take another's place, and a program stays a program about
 * something. Singulars and plurals stand in rows of their own.
 */
export const rowsOfWords: readonly (readonly string[])[] = [
  ["car", "van", "lorry", "bus", "trailer", "tractor", "bicycle"],
  ["cars", "vans", "lorries", "buses", "trailers", "tractors", "bicycles", "vehicles"],
  ["ferry", "boat", "ship", "launch", "vessel", "barge"],
  ["ferries", "boats", "ships", "launches", "vessels", "barges"],
  ["passenger", "walker", "visitor", "islander", "traveller", "guest"],
  ["passengers", "walkers", "visitors", "islanders", "travellers", "guests", "people"],
  ["fare", "toll", "fee", "charge", "price", "rate", "cost"],
  ["fares", "tolls", "fees", "charges", "prices", "rates", "costs"],
  ["bill", "invoice", "receipt", "balance", "takings"],
  ["ticket", "pass", "voucher", "token", "permit"],
  ["tickets", "passes", "vouchers", "tokens", "permits"],
  ["deck", "hold", "ramp", "bay", "lane"],
  ["decks", "holds", "ramps", "bays", "lanes"],
  ["pier", "quay", "jetty", "harbour", "landing", "dock"],
  ["piers", "quays", "jetties", "harbours", "landings", "docks", "ports"],
  ["tide", "swell", "depth", "level", "surge"],
  ["tides", "swells", "depths", "levels", "surges", "waves"],
  ["wave", "gust", "current", "draught"],
  ["load", "cargo", "freight", "weight", "mass"],
  ["loads", "cargoes", "weights", "masses"],
  ["crossing", "trip", "sailing", "voyage", "tour", "passage"],
  ["crossings", "trips", "sailings", "voyages", "tours", "passages"],
  ["crew", "staff", "watch", "team"],
  ["island", "skerry", "islet", "cape", "bay"],
  ["islands", "skerries", "islets", "capes"],
  ["seat", "berth", "bench", "cabin", "bunk"],
  ["seats", "berths", "benches", "cabins", "bunks", "places"],
  ["bag", "crate", "parcel", "barrel", "sack"],
  ["bags", "crates", "parcels", "barrels", "sacks"],
  ["fuel", "oil", "water", "coal"],
  ["speed", "pace", "drift"],
  ["delay", "wait", "pause"],
  ["delays", "waits", "pauses"],
  ["lamp", "buoy", "beacon", "signal", "flare"],
  ["lamps", "buoys", "beacons", "signals", "flares"],
  ["booking", "order", "request", "entry"],
  ["bookings", "orders", "requests", "entries"],
  ["reading", "gauge", "measure", "figure"],
  ["readings", "gauges", "measures", "figures"],
  ["tern", "gannet", "puffin", "skua", "fulmar", "razorbill", "guillemot", "shag"],
  ["north", "south", "east", "west"],
  ["monday", "tuesday", "wednesday", "thursday", "friday"],
];

/** Words that say what a value is for, whatever it is about: they stay. */
export const wordsThatStay: ReadonlySet<string> = new Set(
  (
    "total sum count counter number amount index position place first last next previous current old new small smallest large largest " +
    "least most greatest highest lowest min max minimum maximum mean average middle limit start stop end begin step size length line " +
    "lines text word words letter value values list item items name names result results answer input output data row rows column " +
    "columns key found left right up down in out on off is has yes no true false ok done open full empty half double hour hours minute " +
    "minutes second seconds day days week weeks month year age file reader writer scanner kind type temp temporary main args argv"
  ).split(" "),
);

/** Names for values about which nothing is known. */
export const anyWords: readonly string[] = [
  "bollard",
  "anchor",
  "rudder",
  "keel",
  "mast",
  "rope",
  "winch",
  "galley",
  "funnel",
  "hatch",
  "hull",
  "rail",
  "chart",
  "compass",
  "pennant",
  "locker",
];
