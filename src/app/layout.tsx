import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Jam Kettle", template: "%s · Jam Kettle" },
  description: "Mail into shared tasks with one owner each, watched until they are done.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#1c2b57" };

/** Sets the theme before the first picture, so that a dark room never sees a white flash. */
const THEME = `try{var t=localStorage.getItem("theme");if(t==="cast-iron"||(t!=="enamel"&&matchMedia("(prefers-color-scheme: dark)").matches))document.documentElement.dataset.theme="cast-iron"}catch(e){}`;

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: THEME }} />
      </head>
      <body>{children}</body>
    </html>
  );
}
