import {
  DOMImplementation,
  DOMParser,
  type Element,
  type Node,
  onErrorStopParsing,
  XMLSerializer,
} from "@xmldom/xmldom";

export type { Element };

/** An element that is being written: `ele` puts another one into it and gives that, `txt` a text. */
export type Written = {
  ele: (name: string, attributes?: Readonly<Record<string, string>>) => Written;
  txt: (text: string) => Written;
};

/** Begins a document with its root element in a namespace; `text` gives it as XML 1.0 in UTF-8. */
export function newDocument(
  space: string,
  name: string,
  attributes: Readonly<Record<string, string>>,
): { root: Written; text: () => string } {
  const owner = new DOMImplementation().createDocument(space, name);
  const written = (element: Element): Written => ({
    ele: (child, own = {}) => {
      const made = owner.createElementNS(space, child);
      for (const [key, value] of Object.entries(own)) made.setAttribute(key, value);
      element.appendChild(made);
      return written(made);
    },
    txt: (text) => {
      element.appendChild(owner.createTextNode(text));
      return written(element);
    },
  });
  const root = owner.documentElement;
  if (!root) throw new Error("A document without a root.");
  for (const [key, value] of Object.entries(attributes)) root.setAttribute(key, value);
  return {
    root: written(root),
    text: () => `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(owner)}\n`,
  };
}

/** The root of an XML text. Throws an Error with the parser's words if it is not well-formed. */
export function rootOf(text: string): Element {
  const root = new DOMParser({ onError: onErrorStopParsing }).parseFromString(text, "text/xml").documentElement;
  if (!root) throw new Error("It holds no element.");
  return root;
}

const isElement = (node: Node): node is Element => node.nodeType === 1;

/** The elements right below one. */
export const childrenOf = (of: Element): Element[] => [...of.childNodes].filter(isElement);

/** The elements of a name anywhere below one. */
export const named = (of: Element, name: string): Element[] => [...of.getElementsByTagName(name)];
