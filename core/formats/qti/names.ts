/** Namespaces of QTI 3.0 (1EdTech, Assessment, Section and Item model; packages by the IMS Content Packaging profile). */
export const itemSpace = "http://www.imsglobal.org/xsd/imsqtiasi_v3p0";
export const packageSpace = "http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1";

/** One file of a package. */
export type PackageFile = { name: string; text: string };

/** Characters that XML 1.0 cannot hold (section 2.2), also by a reference. */
const forbidden = /[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu;

/** A text as XML can hold it: line ends as one sign, what no XML can say as U+FFFD. */
export const sayable = (text: string): string => text.replace(/\r\n?/g, "\n").replace(forbidden, "\ufffd");

/** A text for an attribute, which holds one line. */
export const oneLine = (text: string): string => sayable(text).replace(/\s+/g, " ").trim();
