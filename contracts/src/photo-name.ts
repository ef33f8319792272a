import { string } from 'yup';

/** The name of a photo: the SHA-256 of its file. */
export const photoName = () =>
  string()
    .matches(/^[0-9a-f]{64}$/, { message: '${path} has to be the SHA-256 of the picture.' })
    .required();
