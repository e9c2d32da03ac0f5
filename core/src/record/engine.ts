/** Version of the computation that decisions are made with; raised when a result may come out otherwise. */
export const engineVersion = 5;
