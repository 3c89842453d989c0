/** `Mix Beet ring`; of a mix that is called “Mix 1” it is not said twice. */
export const mixTitle = (name: string): string => (/^mix\b/i.test(name) ? `Make ${name}` : `Mix ${name}`);
