/** Version of the sums, kept with every record: raised whenever a formula or limit in core changes a figure. */
export const ARITHMETIC_VERSION = '4'
