/** What people on a list have, for pages: without the schemas. */
export * from '$core/shortlist/list-fields';
