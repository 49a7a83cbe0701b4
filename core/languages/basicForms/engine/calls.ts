import { asValue, converted } from "./convert.ts";
import type { Found } from "./names.ts";
import { type Context, note, resultOf, typeNamed, type Value, writtenType } from "./program.ts";
import type { Expression, Parameter, Place, Routine } from "./tree.ts";
import {
  any,
  arrayOf,
  basic,
  commonNumber,
  isNamed,
  isNumber,
  isObject,
  isText,
  sameType,
  shownType,
  type Type,
  widens,
} from "./types.ts";

export type Given = ReadonlyArray<{ name: string | null; value: Expression | null }>;

/** A call of what was found, with what is handed over. */
export function called(context: Context, target: Found, list: Given, place: Place): Value {
  switch (target.is) {
    case "routines": {
      const { code, routine } = given(context, target.routines, list, target.routines[0]?.name ?? "", place);
      return asValue(`${target.code}(${code})`, routine ? resultOf({ ...context, problems: [] }, routine) : any);
    }
    case "library":
      return ofLibrary(context, target, list, place);
    case "type":
      note(context, place, "BC30110", "A type cannot be called; New makes an object of it.");
      return asValue("default(object)", any);
    case "value":
      return indexed(context, target.value, list, place);
    default:
      // What is handed over is looked at all the same: it may have faults of its own.
      for (const each of list) if (each.value) context.written(context, each.value);
      return asValue("default(object)", any);
  }
}

/** What is handed to one of several routines of a name, in the order of its parameters. */
export function given(
  context: Context,
  routines: readonly Routine[],
  list: Given,
  name: string,
  place: Place,
): { code: string; routine: Routine | null } {
  const routine = chosenOf(context, routines, list);
  if (!routine) {
    if (list.length > 0)
      note(context, place, "BC30057", `'${name}' takes nothing, and ${list.length} values are handed over.`);
    return { code: "", routine: null };
  }
  const { parameters } = routine;
  const many = parameters.at(-1)?.many === true;
  const fixed = many ? parameters.slice(0, -1) : parameters;
  if (list.length > fixed.length && !many) {
    const extra = list[fixed.length]?.value;
    note(
      context,
      extra?.place ?? place,
      "BC30057",
      `Too many values are handed over: '${name}' takes ${fixed.length}.`,
    );
    for (const each of list.slice(fixed.length)) if (each.value) context.written(context, each.value);
  }
  const codes = fixed.map((parameter, at) => {
    const named = list.find((each) => each.name?.toLowerCase() === parameter.name.toLowerCase());
    const positional = list[at]?.name === null ? list[at] : undefined;
    const expression = (named ?? positional)?.value;
    if (expression) return handed(context, parameter, expression);
    const type = parameterType(context, parameter);
    if (parameter.optional) {
      const first = parameter.value
        ? converted(context, context.written({ ...context, problems: [] }, parameter.value, type), type, place)
        : `default(${writtenType(type)})`;
      return parameter.byReference ? boxed(first, type) : first;
    }
    note(context, place, "BC30455", `The value for '${parameter.name}' of '${name}' is missing.`);
    return `default(${writtenType(type)})`;
  });
  for (const each of list)
    if (each.name && !fixed.some((parameter) => parameter.name.toLowerCase() === each.name?.toLowerCase()))
      note(context, place, "BC30272", `'${each.name}' is no parameter of '${name}'.`);
  if (many) {
    const last = parameters.at(-1);
    const type = last ? parameterType(context, last) : any;
    const element = type.kind === "array" ? type.of : any;
    const rest = list.slice(fixed.length).flatMap(({ value }) => (value ? [value] : []));
    const one = rest.length === 1 && rest[0] ? context.written({ ...context, problems: [] }, rest[0]) : null;
    codes.push(
      one && rest[0] && one.type.kind === "array"
        ? context.written(context, rest[0]).code
        : `new ${writtenType(arrayOf(element))} { ${rest.map((each) => converted(context, context.written(context, each, element), element, each.place)).join(", ")} }`,
    );
  }
  return { code: codes.join(", "), routine };
}

const parameterType = (context: Context, parameter: Parameter): Type =>
  typeNamed({ ...context, problems: [] }, parameter.type);

const boxed = (code: string, type: Type): string => `ref new BentNail.Basic.Box<${writtenType(type)}>(${code}).value`;

/** One value, by its place or by its value. */
function handed(context: Context, parameter: Parameter, expression: Expression): string {
  const type = parameterType(context, parameter);
  const value = context.written(context, expression, type);
  if (!parameter.byReference) return converted(context, value, type, expression.place);
  if (value.target === "variable" && sameType(value.type, type)) return `ref ${value.code}`;
  return boxed(converted(context, value, type, expression.place), type);
}

/** Of several routines the one that takes as many values, of the types that fit best. */
function chosenOf(context: Context, routines: readonly Routine[], list: Given): Routine | null {
  if (routines.length < 2) return routines[0] ?? null;
  const quiet = { ...context, problems: [] };
  const types = list.map((each) => (each.value ? context.written(quiet, each.value).type : any));
  const rated = routines.map((routine) => {
    const least = routine.parameters.filter((each) => !each.optional && !each.many).length;
    const most = routine.parameters.at(-1)?.many ? Number.POSITIVE_INFINITY : routine.parameters.length;
    const fits = list.length >= least && list.length <= most;
    const points = types.reduce((sum, type, at) => {
      const parameter = routine.parameters[at];
      if (!parameter) return sum;
      const wanted = parameterType(context, parameter);
      return sum + (sameType(type, wanted) ? 3 : widens(type, wanted) ? 2 : 0);
    }, 0);
    return { routine, points: fits ? points + 100 : points };
  });
  rated.sort((one, other) => other.points - one.points);
  return rated[0]?.routine ?? null;
}

function ofLibrary(context: Context, target: Extract<Found, { is: "library" }>, list: Given, place: Place): Value {
  const { member, code } = target;
  const values = list.flatMap(({ value }) => (value ? [value] : []));
  if (!member.method) return indexed(context, asValue(code, member.type), list, place);
  if (member.given && values.length !== member.given.length) {
    const missing = values.length < member.given.length;
    note(
      context,
      missing ? place : (values[member.given.length]?.place ?? place),
      missing ? "BC30455" : "BC30057",
      missing
        ? `'${shortName(member.name)}' takes ${member.given.length} values, and ${values.length} are handed over.`
        : `Too many values are handed over: '${shortName(member.name)}' takes ${member.given.length}.`,
    );
    for (const each of values) context.written(context, each);
    return asValue("default(object)", member.type);
  }
  const written_ = values.map((expression, at) => {
    const wanted = member.given?.[at];
    const value = context.written(context, expression, wanted);
    if (member.out.includes(at)) {
      if (value.target !== "variable")
        note(context, expression.place, "BC30068", "This is a value that nothing can be stored in.");
      return { code: `out ${value.code}`, value };
    }
    return { code: wanted ? converted(context, value, wanted, expression.place) : freely(value, member.name), value };
  });
  const numbers = written_.map(({ value }) => value.type);
  const result = resultOfLibrary(member, numbers);
  const codes =
    member.special === "common" && isNumber(result)
      ? written_.map(({ value }, at) => converted(context, value, result, values[at]?.place ?? place))
      : written_.map((each) => each.code);
  if (member.special === "first" || member.special === "rounded") {
    const first = written_[0]?.value;
    if (first && !isNumber(first.type) && values[0]) codes[0] = converted(context, first, result, values[0].place);
    else if (
      first &&
      member.special === "rounded" &&
      isNumber(first.type) &&
      !isNamed(first.type, "Double", "Single", "Decimal")
    )
      codes[0] = `(double)(${first.code})`;
  }
  return asValue(`${code}(${codes.join(", ")})`, result);
}

const shortName = (name: string): string => name.split(".").at(-1) ?? name;

/** What is printed or handed over without a type that is asked for. */
const freely = ({ code, type }: Value, name: string): string =>
  type.kind === "nothing" && /Write/.test(name)
    ? '""'
    : isObject(type) && /Write/.test(name)
      ? `BentNail.Basic.To.Text(${code})`
      : code;

function resultOfLibrary(member: { special: string; type: Type }, given: readonly Type[]): Type {
  const [one = basic("Double"), other = one] = given;
  if (member.special === "first") return isNumber(one) ? one : basic("Double");
  if (member.special === "common")
    return isNumber(one) && isNumber(other) ? basic(commonNumber(one, other)) : basic("Double");
  if (member.special === "rounded") return isNamed(one, "Decimal") ? one : basic("Double");
  return member.type;
}

/** Brackets behind a value: a position in it. */
export function indexed(context: Context, of: Value, list: Given, place: Place): Value {
  const values = list.flatMap(({ value }) => (value ? [value] : []));
  const { type } = of;
  const position = (each: Expression) => {
    const value = context.written(context, each);
    return converted(context, value, basic("Integer"), each.place);
  };
  if (type.kind === "array") {
    if (values.length !== type.rank) {
      note(
        context,
        place,
        values.length < type.rank ? "BC30105" : "BC30106",
        `The array has ${type.rank} dimension(s), and ${values.length} position(s) stand in the brackets.`,
      );
      return asValue("default(object)", any);
    }
    return { ...asValue(`${of.code}[${values.map(position).join(", ")}]`, type.of), target: "variable" };
  }
  if (isText(type) && values.length === 1 && values[0])
    return asValue(`${of.code}[${position(values[0])}]`, basic("Char"));
  if (type.kind === "library" && values[0]) {
    const key: Type = type.name === "Dictionary" ? (type.of[0] ?? any) : basic("Integer");
    const element: Type | undefined =
      type.name === "Dictionary"
        ? type.of[1]
        : type.name === "List"
          ? type.of[0]
          : type.name === "ArrayList" || type.name === "Items"
            ? basic("Object")
            : undefined;
    if (element)
      return {
        ...asValue(
          `${of.code}[${converted(context, context.written(context, values[0], key), key, values[0].place)}]`,
          element,
        ),
        target: "property",
      };
  }
  if (type.kind === "any" || isObject(type)) {
    const codes = values.map((each) => context.written(context, each).code).join(", ");
    const isMember = /^\(\(dynamic\)/.test(of.code) && /\.@?\w+$/.test(of.code);
    if (isMember) return asValue(`${of.code}(${codes})`, any);
    return { ...asValue(`((dynamic)(${of.code}))[${codes}]`, any), target: "property" };
  }
  if (list.length === 0) return of;
  for (const each of values) context.written(context, each);
  note(
    context,
    place,
    "BC30471",
    `Brackets stand behind a value of the type '${shownType(type)}', which is neither an array nor a routine.`,
  );
  return asValue("default(object)", any);
}
