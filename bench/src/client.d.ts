import { type TemporaryApplication } from '@bright-sprout/scripts';
/** Calls the API as the demo teacher over one connection that stays open, as a browser does. */
export declare class ApiClient {
    #private;
    private constructor();
    /** Signs in as the demo teacher. */
    static signIn(application: TemporaryApplication): Promise<ApiClient>;
    /** @throws Error on any answer but a success */
    get(path: string): Promise<unknown>;
    /** @throws Error on any answer but a success */
    put(path: string, body: object): Promise<unknown>;
    /** @throws Error on any answer but a success */
    remove(path: string): Promise<void>;
    /** Closes the connection. */
    close(): void;
}
