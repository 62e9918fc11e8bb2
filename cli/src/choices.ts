// What options choose from, apart from what does the work: a command reads only what it needs.

export const sectionFormats = ['table', 'csv', 'json'] as const;
export const workingsFormats = ['text', 'html', 'json'] as const;
