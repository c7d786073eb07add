/** Where class-transformer keeps which class a field holds; it ships without types. */
declare module 'class-transformer/cjs/storage.js' {
  export const defaultMetadataStorage: object
}
