import { Problem } from '../problem';

/** Where whole pictures lie outside the database: an object store that speaks the protocol of S3. */
export interface Objects {
  /** @param id of the picture */
  readonly put: (id: string, bytes: Buffer, type: string) => Promise<void>;
  readonly get: (id: string) => Promise<Buffer>;
  /** What is not there is removed already. */
  readonly remove: (id: string) => Promise<void>;
  readonly close: () => void;
}

export interface ObjectSettings {
  readonly bucket: string;
  readonly region: string;
  /** Of a store that is not Amazon's own, like `https://objects.example`. */
  readonly endpoint?: string | undefined;
}

const LONGEST_MS = 10_000;
const away = () =>
  new Problem(503, 'pictures-away', 'The store of pictures does not answer. Send it again in a while.');

/**
 * Who asks is taken from the environment as Amazon's own programs do: `AWS_ACCESS_KEY_ID`,
 * `AWS_SECRET_ACCESS_KEY`.
 */
export async function openObjects({ bucket, region, endpoint }: ObjectSettings): Promise<Objects> {
  // Read only where it is used: it is a large package.
  const { DeleteObjectCommand, GetObjectCommand, PutObjectCommand, S3Client } =
    await import('@aws-sdk/client-s3');
  // Stores of others know neither buckets as names of hosts nor Amazon's newer checksums.
  const client = new S3Client({
    region,
    requestChecksumCalculation: 'WHEN_REQUIRED',
    responseChecksumValidation: 'WHEN_REQUIRED',
    ...(endpoint === undefined ? {} : { endpoint, forcePathStyle: true }),
  });
  const object = (id: string) => ({ Bucket: bucket, Key: `pictures/${id}` });
  const asked = async <T>(ask: (options: { abortSignal: AbortSignal }) => Promise<T>): Promise<T> => {
    try {
      return await ask({ abortSignal: AbortSignal.timeout(LONGEST_MS) });
    } catch (error) {
      throw Object.assign(away(), { cause: error });
    }
  };
  return {
    put: async (id, bytes, type) => {
      await asked((options) =>
        client.send(new PutObjectCommand({ ...object(id), Body: bytes, ContentType: type }), options),
      );
    },
    get: async (id) =>
      asked(async (options) =>
        Buffer.from(
          (await (
            await client.send(new GetObjectCommand(object(id)), options)
          ).Body?.transformToByteArray()) ?? [],
        ),
      ),
    remove: async (id) => {
      await asked((options) => client.send(new DeleteObjectCommand(object(id)), options));
    },
    close: () => client.destroy(),
  };
}
