import { string } from 'yup';

/** The name of a file of the literature: the SHA-256 of its contents, and its ending. */
export const literatureFile = () =>
  string()
    .matches(/^[0-9a-f]{64}\.(pdf|jpg|txt)$/, { message: '${path} has to be the SHA-256 of the file and its ending.' })
    .required();
