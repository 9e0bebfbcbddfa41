/** Larkmoor Playworks, its clients and its suppliers: all invented. The key is what the letters' headers say. */

export interface Colleague {
  readonly key: string;
  readonly name: string;
  readonly work: string;
  readonly nicknames?: readonly string[];
  readonly isLead?: boolean;
}

export const TEAM: readonly Colleague[] = [
  { key: "ines", name: "Ines Valdarno", work: "Lead, clients and money", isLead: true },
  { key: "suki", name: "Suki Aldane", work: "Head of design, safety files" },
  { key: "mair", name: "Mair Penhallow", work: "Site manager" },
  { key: "kofi", name: "Kofi Brandt", work: "Buying and deliveries" },
  { key: "tobias", name: "Tobias Reyne", work: "Designer", nicknames: ["Toby"] },
  { key: "jonah", name: "Jonah Prewitt", work: "Drawings and models" },
  { key: "lotte", name: "Lotte Fairweather", work: "Office and invoices" },
  { key: "oisin", name: "Oisin Marlowe", work: "Workshop and installation", nicknames: ["Osh"] },
  { key: "bea", name: "Bea Thornquist", work: "Apprentice, inspections", nicknames: ["Beatrice"] },
];

/** Who is away and who covers: working days from the day of the newest letters. */
export const ABSENCES = [
  { key: "lotte", from: -1, back: 4, cover: "ines", said: "d-3 16:20" },
  { key: "jonah", from: 4, back: 9, cover: "tobias", said: "d-2 12:05" },
] as const;

export interface Outsider {
  readonly key: string;
  readonly name: string;
  readonly address: string;
  readonly firm: string;
  readonly zone?: string;
}

export const FIRMS = [
  { name: "Tidewell Town Council", kind: "client" },
  { name: "Ashgrove School", kind: "client" },
  { name: "Brackenfold Housing", kind: "client" },
  { name: "Pennywhistle Nursery", kind: "client" },
  { name: "Oakreach Timber", kind: "supplier" },
  { name: "Softfall Surfacing", kind: "supplier" },
  { name: "Kestrel Crane Hire", kind: "supplier" },
  { name: "Ironbark Fixings", kind: "supplier" },
  { name: "Larchway Print", kind: "supplier" },
] as const;

export const OUTSIDERS: readonly Outsider[] = [
  { key: "colm", name: "Colm Hartnell", address: "colm.hartnell@tidewell.example", firm: "Tidewell Town Council" },
  { key: "perpetua", name: "Perpetua Nnadi", address: "p.nnadi@ashgrove-school.example", firm: "Ashgrove School" },
  {
    key: "desmond",
    name: "Desmond Achterberg",
    address: "d.achterberg@brackenfold.example",
    firm: "Brackenfold Housing",
  },
  {
    key: "resident-news",
    name: "Brackenfold Housing",
    address: "news@brackenfold.example",
    firm: "Brackenfold Housing",
  },
  { key: "yolanda", name: "Yolanda Criss", address: "yolanda@pennywhistle.example", firm: "Pennywhistle Nursery" },
  {
    key: "sigge",
    name: "Sigge Lindqvist",
    address: "sigge@oakreach.example",
    firm: "Oakreach Timber",
    zone: "Europe/Stockholm",
  },
  {
    key: "marloes",
    name: "Marloes Dekker",
    address: "marloes@softfall.example",
    firm: "Softfall Surfacing",
    zone: "Europe/Amsterdam",
  },
  { key: "bryn", name: "Bryn Tallis", address: "bryn@kestrel-cranes.example", firm: "Kestrel Crane Hire" },
  { key: "hattie", name: "Hattie Quill", address: "h.quill@ironbark.example", firm: "Ironbark Fixings" },
  { key: "orders", name: "Ironbark Orders", address: "orders@ironbark.example", firm: "Ironbark Fixings" },
  { key: "petra", name: "Petra Noakes", address: "petra@larchway.example", firm: "Larchway Print" },
  { key: "news", name: "Playspace Notes", address: "notes@playspace.example", firm: "" },
  { key: "list", name: "Yards list", address: "yards@lists.playspace.example", firm: "" },
  { key: "bounce", name: "Mail Delivery", address: "mailer-daemon@mail.larkmoor.example", firm: "" },
];

export interface DemoProject {
  readonly name: string;
  readonly firm: string | null;
  readonly words: readonly string[];
  readonly workstreams: readonly string[];
}

export const PROJECTS: readonly DemoProject[] = [
  {
    name: "Harbour Green",
    firm: "Tidewell Town Council",
    words: [
      "harbour green",
      "net climber",
      "crane",
      "swing post",
      "slipway",
      "drainage",
      "bench feet",
      "guard rail",
      "information board",
      "softfall samples",
      "marquee",
      "opening",
      "road closure",
    ],
    workstreams: ["Groundworks", "Play units", "Safety file", "Opening"],
  },
  {
    name: "Merrow Lane",
    firm: "Tidewell Town Council",
    words: ["merrow lane", "see-saw", "basket swing"],
    workstreams: ["Survey", "Works"],
  },
  {
    name: "Ashgrove yard",
    firm: "Ashgrove School",
    words: ["ashgrove", "volcano", "year 5", "governors"],
    workstreams: ["Design", "Timber", "Surfacing"],
  },
  {
    name: "Brackenfold courtyard",
    firm: "Brackenfold Housing",
    words: ["brackenfold", "staircase", "courtyard", "pear tree", "washing lines"],
    workstreams: ["Paving", "Planting", "Inspection"],
  },
  {
    name: "Pennywhistle garden",
    firm: "Pennywhistle Nursery",
    words: ["pennywhistle", "willow", "mud kitchen"],
    workstreams: ["Willow", "Mud kitchen"],
  },
  {
    name: "Own workshop",
    firm: null,
    words: ["workshop", "holiday", "lathe", "van 2", "first aid", "saw blades", "apprentice", "drawing register"],
    workstreams: ["Machines", "Vans", "Office"],
  },
];

export const DEMO_DOMAIN = "larkmoor.example";
export const DEMO_ZONE = "Europe/London";
