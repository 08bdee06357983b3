<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use RuntimeException;
use SensitiveParameter;

/**
 * A file encrypted with a passphrase: libsodium's secretstream (XChaCha20-Poly1305) in pieces, with a key derived by
 * Argon2id. The file is the mark, the salt (16 bytes), the stream's header (24) and the pieces; the last is tagged as
 * such, so that a file that was cut short is noticed.
 */
final readonly class EncryptedFile
{
    public const ENDING = '.enc';

    private const MARK = "PruningHook-encrypted-1\n";

    /** Plain bytes of a piece. */
    private const PIECE = 65_536;

    private const WRONG = 'the passphrase is wrong, or the file is damaged';

    public static function is(string $path): bool
    {
        return is_file($path) && @file_get_contents($path, false, null, 0, strlen(self::MARK)) === self::MARK;
    }

    /** @throws RuntimeException where it cannot be read or written */
    public static function encrypt(string $from, string $to, #[SensitiveParameter] string $passphrase): void
    {
        [$read, $write] = [self::opened($from, 'rb'), self::opened($to, 'xb')];
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        [$state, $header] = sodium_crypto_secretstream_xchacha20poly1305_init_push(self::key($passphrase, $salt));
        self::write($write, self::MARK.$salt.$header);
        do {
            $piece = self::read($read, self::PIECE);
            $isLast = feof($read);
            self::write($write, sodium_crypto_secretstream_xchacha20poly1305_push($state, $piece, '', $isLast
                ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE));
        } while (! $isLast);
        fclose($read);
        if (! fclose($write)) {
            throw new RuntimeException("$to cannot be written: is the disk full?");
        }
    }

    /** @throws RuntimeException where the passphrase is wrong, or the file is not what was written */
    public static function decrypt(string $from, string $to, #[SensitiveParameter] string $passphrase): void
    {
        [$read, $write] = [self::opened($from, 'rb'), self::opened($to, 'xb')];
        self::read($read, strlen(self::MARK));
        $salt = self::read($read, SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $header = self::read($read, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
        if (strlen($header) !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES) {
            throw new RuntimeException(self::WRONG);
        }
        $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($header, self::key($passphrase, $salt));
        do {
            $piece = self::read($read, self::PIECE + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES);
            $opened = strlen($piece) < SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES
                ? false
                : sodium_crypto_secretstream_xchacha20poly1305_pull($state, $piece);
            if ($opened === false) {
                throw new RuntimeException(self::WRONG);
            }
            self::write($write, $opened[0]);
            $isLast = $opened[1] === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL;
        } while (! $isLast);
        if (self::read($read, 1) !== '' || ! fclose($write)) {
            throw new RuntimeException(self::WRONG);
        }
        fclose($read);
    }

    private static function key(#[SensitiveParameter] string $passphrase, string $salt): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES, $passphrase, $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_INTERACTIVE, SODIUM_CRYPTO_PWHASH_MEMLIMIT_INTERACTIVE,
            SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
        );
    }

    /** @return resource */
    private static function opened(string $path, string $how): mixed
    {
        $file = @fopen($path, $how);

        return $file === false
            ? throw new RuntimeException("$path cannot be ".($how === 'rb' ? 'read' : 'written'))
            : $file;
    }

    /**
     * So many bytes, or what is left.
     *
     * @param  resource  $file
     */
    private static function read(mixed $file, int $bytes): string
    {
        $read = '';
        while (strlen($read) < $bytes && ! feof($file)) {
            $read .= (string) fread($file, max(1, $bytes - strlen($read)));
        }

        return $read;
    }

    /** @param  resource  $file */
    private static function write(mixed $file, string $bytes): void
    {
        if (@fwrite($file, $bytes) !== strlen($bytes)) {
            throw new RuntimeException('it cannot be written: is the disk full?');
        }
    }
}
