declare module '*.module.css' {
  const names: Readonly<Record<string, string>>;
  export default names;
}
declare module '*.css';
