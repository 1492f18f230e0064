// Writes the front end's types of what the server answers from docs/schema/api.schema.json. Run by bin/types.
import { readFile, writeFile } from 'node:fs/promises';
import { compile } from 'json-schema-to-typescript';
import { format, resolveConfig } from 'prettier';

const schemas = new URL('../../docs/schema/', import.meta.url);
const target = new URL('../../web/src/api/types.ts', import.meta.url);
const BANNER = '/* Written by bin/types from docs/schema/api.schema.json; change that and run it again. */';

/** What a schema cannot say as the front end wants it: values of any depth, and tuples that nobody changes. */
const WRITTEN = {
    json: 'null | boolean | number | string | Json[] | { [key: string]: Json | undefined }',
    document: '{ [key: string]: Json | undefined }',
    point: 'readonly [number, number]',
    triple: 'readonly [number, number, number]',
};

const read = async (name) => JSON.parse(await readFile(new URL(name, schemas), 'utf8'));

/** The generator knows tuples by the keyword of an older draft, and a type beside `null` only as a union of both. */
function readable(node) {
    if (Array.isArray(node)) return node.map(readable);
    if (node === null || typeof node !== 'object') return node;
    const { prefixItems, ...rest } = node;
    const entries = Object.entries(rest).map(([key, value]) => [
        key,
        key === 'const' || key === 'enum' ? value : readable(value),
    ]);
    const result = Object.fromEntries(entries);
    if (prefixItems !== undefined) Object.assign(result, { items: prefixItems.map(readable), additionalItems: false });
    const isTuple = result.type === 'array' && result.minItems !== undefined && result.minItems === result.maxItems;
    if (isTuple && prefixItems === undefined)
        Object.assign(result, { items: Array(result.minItems).fill(result.items), additionalItems: false });
    if (!isTuple) delete result.minItems;
    // What a format may hold besides is not read here.
    if (result.additionalProperties === true) result.additionalProperties = false;
    return result;
}

/** Definitions of the kit's own schema stand among the others, so that one file holds them all. */
async function whole() {
    const api = await read('api.schema.json');
    const { $defs: kitDefinitions, $schema, $id, ...kit } = await read('kit.schema.json');
    const { place, ...others } = kitDefinitions;
    const $defs = { ...others, ...api.$defs, kit };
    for (const [name, tsType] of Object.entries(WRITTEN)) Object.assign($defs[name], { tsType });
    const joined = JSON.stringify({ $defs })
        .replaceAll('"https://chartula.example/schema/kit.schema.json"', '"#/$defs/kit"')
        .replaceAll('"https://chartula.example/schema/kit.schema.json#/', '"#/$defs/kit/')
        .replaceAll('"#/$defs/place"', '"#/$defs/triple"');
    return readable({ title: 'Answers', type: 'object', ...JSON.parse(joined) });
}

export async function types() {
    const text = await compile(await whole(), 'Answers', {
        bannerComment: BANNER,
        additionalProperties: false,
        unreachableDefinitions: true,
        enableConstEnums: false,
        strictIndexSignatures: true,
        format: false,
    });
    const plain = text
        .replace(/export interface Answers \{\}\n/, '')
        .replace(/\n \* @(min|max)Items \d+/g, '')
        .replace(
            /( \*\n)? \* This interface was referenced by `Answers`'s JSON-Schema\n \* via the `definition` "\w+"\.\n/g,
            '',
        )
        .replace(/(\n \*)+(?=\n \*\/)/g, '')
        .replace(/\/\*\*\n \*\/\n/g, '');
    return format(plain, { ...(await resolveConfig(target)), parser: 'typescript' });
}

if (process.argv.includes('--check')) {
    if ((await readFile(target, 'utf8')) !== (await types())) {
        console.error('web/src/api/types.ts is not what docs/schema/api.schema.json says: run bin/types');
        process.exit(1);
    }
} else {
    await writeFile(target, await types());
}
