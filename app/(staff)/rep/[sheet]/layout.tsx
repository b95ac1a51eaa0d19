/** An address of no sheet answers 404, as in Plan. */
export { default } from '../../plan/[sheet]/layout';
