import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import { ValidationError } from 'yup';
import { drillSchema, DRILL_FORMAT, type Drill } from '../records/drill.ts';

/** A file with several drills; a file with one is the drill itself. */
export const DRILL_SET_FORMAT = 'jolly-rail/drills';
export const DRILL_SET_VERSION = 1;

/** A file that holds no drills at all. The message says in which line and why. */
export class DrillFileError extends Error {
  override name = 'DrillFileError';
}

/** One drill of a file: read, or refused with what is wrong with it and where. */
export type DrillOfFile =
  | { readonly kind: 'read'; readonly drill: Drill }
  | { readonly kind: 'refused'; readonly title: string; readonly line: number; readonly reason: string };

function lineAt(text: string, offset: number): number {
  return text.slice(0, offset).split('\n').length;
}

/** The steps of a path as Yup writes it: stages[0].title, or ["in-off"] for names with a hyphen. */
function stepsOf(path: string): readonly (string | number)[] {
  return [...path.matchAll(/\["([^"]+)"\]|\[(\d+)\]|([^.[\]]+)/g)].map(([, quoted, index, name]) =>
    index === undefined ? (quoted ?? name ?? '') : Number(index),
  );
}

/** The part of the text that a path names, or as near to it as there is one. */
function nodeAt(root: Node, path: string): Node {
  const steps = [...stepsOf(path)];
  for (; steps.length > 0; steps.pop()) {
    const found = findNodeAtLocation(root, steps);
    if (found !== undefined) return found;
  }
  return root;
}

function valueOf(node: Node): unknown {
  if (node.type === 'array') return (node.children ?? []).map(valueOf);
  if (node.type === 'object') {
    return Object.fromEntries(
      (node.children ?? []).map(({ children = [] }) => {
        const [name, value] = children;
        return [String(name?.value), value === undefined ? undefined : valueOf(value)];
      }),
    );
  }
  return node.value;
}

function nameOf(value: unknown, number: number): string {
  const named = typeof value === 'object' && value !== null && 'title' in value ? value.title : undefined;
  return typeof named === 'string' && named.trim() !== '' ? named : `drill ${number}`;
}

function readOne(text: string, node: Node, number: number): DrillOfFile {
  const value = valueOf(node);
  try {
    return { kind: 'read', drill: drillSchema.validateSync(value) };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const at = nodeAt(node, error.path ?? '');
    return {
      kind: 'refused',
      title: nameOf(value, number),
      line: lineAt(text, at.offset),
      reason: error.message,
    };
  }
}

/**
 * Reads a file of one drill or of a set. A drill of a set that is wrong leaves the others as they are.
 * @throws DrillFileError when the text is no JSON, or neither a drill nor a set of them
 */
export function readDrillFile(text: string): readonly DrillOfFile[] {
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { disallowComments: true });
  const [first] = errors;
  if (first !== undefined || root === undefined) {
    const reason = first === undefined ? 'nothing in it' : printParseErrorCode(first.error);
    throw new DrillFileError(`line ${lineAt(text, first?.offset ?? 0)}: this is not JSON (${reason})`);
  }
  const format: unknown = findNodeAtLocation(root, ['format'])?.value;
  if (format === DRILL_FORMAT) return [readOne(text, root, 1)];
  const node = findNodeAtLocation(root, ['format']) ?? root;
  if (format !== DRILL_SET_FORMAT) {
    throw new DrillFileError(
      `line ${lineAt(text, node.offset)}: format must be ${DRILL_FORMAT} or ${DRILL_SET_FORMAT}`,
    );
  }
  const version = findNodeAtLocation(root, ['version']);
  if (version?.value !== DRILL_SET_VERSION) {
    throw new DrillFileError(
      `line ${lineAt(text, (version ?? node).offset)}: version must be ${DRILL_SET_VERSION}`,
    );
  }
  const list = findNodeAtLocation(root, ['drills']);
  if (list?.type !== 'array') {
    throw new DrillFileError(`line ${lineAt(text, (list ?? root).offset)}: drills must be a list of drills`);
  }
  return (list.children ?? []).map((child, i) => readOne(text, child, i + 1));
}

/** The text of a file with some drills: one alone is the drill itself. */
export function writeDrillFile(drills: readonly Drill[]): string {
  const [only] = drills;
  const value = drills.length === 1 ? only : { format: DRILL_SET_FORMAT, version: DRILL_SET_VERSION, drills };
  return `${JSON.stringify(value, null, 2)}\n`;
}
