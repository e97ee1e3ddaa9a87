// A script of the pages as a module of node: pages load it by an address with its hash, so that it names no other file.
import { readFile } from "node:fs/promises";

export const script = async (name) => {
  const text = await readFile(new URL(`../../main/resources/static/${name}.js`, import.meta.url), "utf8");
  return import(`data:text/javascript,${encodeURIComponent(text)}`);
};
