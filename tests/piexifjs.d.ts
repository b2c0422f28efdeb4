/** The little of piexifjs that tests use. */
declare module 'piexifjs' {
  interface Piexif {
    readonly ImageIFD: Record<string, number>;
    readonly GPSIFD: Record<string, number>;
    dump(exif: object): string;
    insert(exif: string, jpeg: string): string;
  }
  const piexif: Piexif;
  export default piexif;
}
