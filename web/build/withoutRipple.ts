/** Stands for the ripple of a button: the theme has it nowhere, and it would come with the first page all the same. */
export default (): null => null;
