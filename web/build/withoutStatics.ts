/**
 * Stands for what copies the statics of a component that is wrapped: only a wrapper that nothing here uses asks for it, and
 * it would come with the first page.
 */
export default <T>(wrapper: T): T => wrapper;
