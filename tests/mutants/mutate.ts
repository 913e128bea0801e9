import { parseSync } from 'vite';

/** One small change of a source file: what stands there, and what stands there instead. */
export interface Mutant {
  readonly id: number;
  readonly file: string;
  readonly line: number;
  readonly from: string;
  readonly to: string;
}

/** A node of the tree that a parser makes of a file, as far as it is looked at. */
interface Node {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly [field: string]: unknown;
}

const SWAPPED: Readonly<Record<string, string>> = {
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '===': '!==',
  '!==': '===',
  '&&': '||',
  '||': '&&',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
};
const RENAMED: Readonly<Record<string, string>> = {
  some: 'every',
  every: 'some',
  find: 'findLast',
  findLast: 'find',
  max: 'min',
  min: 'max',
  floor: 'ceil',
  ceil: 'floor',
};
/** A list without these is the list. */
const LEFT_OUT: readonly string[] = ['filter', 'toSorted', 'sort', 'toReversed'];

/**
 * Returns a source file in which every mutant stands beside what it changes: `__mutant(id)` says which of the two counts.
 *
 * @param firstId the id of its first mutant
 */
export function mutate(
  file: string,
  text: string,
  firstId: number,
): { readonly text: string; readonly mutants: readonly Mutant[] } {
  const mutants: Mutant[] = [];
  const textOf = ({ start, end }: Node): string => text.slice(start, end);
  /** The text of a node with the mutants in it. */
  const written = (node: Node, parents: readonly Node[]): string => {
    let [out, at] = ['', node.start];
    for (const child of childrenOf(node)) {
      out += text.slice(at, child.start) + changed(child, [...parents, node]);
      at = child.end;
    }
    return out + text.slice(at, node.end);
  };
  const changed = (node: Node, parents: readonly Node[]): string => {
    // Types, imports and the names of exports say nothing at run time.
    if (node.type.startsWith('TS') && !IN_TYPESCRIPT.includes(node.type)) return textOf(node);
    if (node.type === 'ImportDeclaration') return textOf(node);
    let out = written(node, parents);
    for (const to of mutationsOf(node, parents, textOf)) {
      const id = firstId + mutants.length;
      mutants.push({ id, file, line: text.slice(0, node.start).split('\n').length, from: textOf(node), to });
      out = `(__mutant(${id}) ? (${to}) : (${out}))`;
    }
    return out;
  };
  const { program, errors } = parseSync(file, text);
  if (errors.length > 0) throw new Error(`${file}: ${errors[0]?.message}`);
  const whole = program as unknown as Node;
  return { text: text.slice(0, whole.start) + written(whole, []), mutants };
}

const IN_TYPESCRIPT: readonly string[] = ['TSAsExpression', 'TSSatisfiesExpression', 'TSNonNullExpression'];

function childrenOf(node: Node): readonly Node[] {
  const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && 'type' in value;
  const children = Object.values(node)
    .flatMap((value) => (Array.isArray(value) ? value : [value]))
    .filter(isNode);
  // `{ a }` has one place for two nodes.
  const own = node.type === 'Property' && node.shorthand === true ? [] : children;
  return own.toSorted((a, b) => a.start - b.start);
}

function mutationsOf(node: Node, parents: readonly Node[], textOf: (node: Node) => string): readonly string[] {
  const parent = parents.at(-1);
  const part = (name: string): Node => node[name] as Node;
  const guard = parent?.type === 'IfStatement' && parent.test === node ? ['false'] : [];
  switch (node.type) {
    case 'LogicalExpression':
    case 'BinaryExpression': {
      const [left, right] = [part('left'), part('right')];
      if (node.operator === '??') return isForTheCompiler(node) ? [] : [textOf(left)];
      const to = SWAPPED[String(node.operator)];
      if (to === undefined || [left, right].some(isText)) return guard;
      return [...guard, `(${textOf(left)}) ${to} (${textOf(right)})`];
    }
    case 'UnaryExpression':
      return node.operator === '!' ? [...guard, textOf(part('argument'))] : guard;
    case 'ConditionalExpression':
      return [`(${textOf(part('test'))}) ? (${textOf(part('alternate'))}) : (${textOf(part('consequent'))})`];
    case 'Literal':
      if (typeof node.value === 'boolean') return [String(!node.value)];
      return typeof node.value === 'number' && isReckoned(parents) && !isForTheCompiler(parent)
        ? [String(node.value + 1)]
        : [];
    case 'CallExpression': {
      const callee = part('callee');
      if (callee.type !== 'MemberExpression' || callee.computed === true || isInChain(parents)) return guard;
      const [object, name] = [callee.object as Node, callee.property as Node];
      const renamed = RENAMED[String(name.name)];
      const [before, rest] = [
        textOf(node).slice(0, name.start - node.start),
        textOf(node).slice(name.end - node.start),
      ];
      if (renamed) return [...guard, `${before}${renamed}${rest}`];
      return LEFT_OUT.includes(String(name.name)) ? [...guard, textOf(object)] : guard;
    }
    default:
      return guard;
  }
}

/** Whether something stands for what a list has no place for: the compiler asks for it. */
function isForTheCompiler(node: Node | undefined): boolean {
  const left = node?.operator === '??' ? (node.left as Node) : undefined;
  return left?.type === 'MemberExpression' && left.computed === true;
}

const isText = ({ type, value }: Node): boolean =>
  type === 'TemplateLiteral' || (type === 'Literal' && typeof value === 'string');

/** Whether a node is a link of an optional chain: then it cannot be put in brackets. */
const isInChain = (parents: readonly Node[]): boolean => parents.some(({ type }) => type === 'ChainExpression');

/** Whether a number is part of a sum in a function, and not of a table or of the name of a key. */
const isReckoned = (parents: readonly Node[]): boolean =>
  parents.at(-1)?.type !== 'Property' && parents.some(({ type }) => /Function/.test(type));
