/** The password of the demo's people; shown on the demo's sign-in page, and of no use anywhere else. */
export const DEMO_PASSWORD = "plum-jam-2026";
