<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Upkeep\EncryptedFile;
use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RuntimeException;

/** What is encrypted comes back whole, or not at all. */
final class EncryptedFileTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/encrypted-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem)->deleteDirectory($this->folder);
    }

    /** @return list<array{int}> */
    public static function sizes(): array
    {
        return [[0], [1], [65_535], [65_536], [65_537], [131_072], [200_000]];
    }

    #[DataProvider('sizes')]
    public function test_every_size_comes_back(int $bytes): void
    {
        $plain = $bytes === 0 ? '' : random_bytes($bytes);
        file_put_contents("$this->folder/plain", $plain);
        EncryptedFile::encrypt("$this->folder/plain", "$this->folder/locked", 'three wet gloves');
        self::assertTrue(EncryptedFile::is("$this->folder/locked"));
        self::assertFalse(EncryptedFile::is("$this->folder/plain"));
        self::assertFalse(EncryptedFile::is("$this->folder/nowhere"));
        EncryptedFile::decrypt("$this->folder/locked", "$this->folder/back", 'three wet gloves');
        self::assertStringEqualsFile("$this->folder/back", $plain);
        // The same again is another file: nobody sees that two are alike.
        EncryptedFile::encrypt("$this->folder/plain", "$this->folder/again", 'three wet gloves');
        self::assertFileNotEquals("$this->folder/locked", "$this->folder/again");
    }

    public function test_what_was_changed_cut_short_or_lengthened_is_refused(): void
    {
        file_put_contents("$this->folder/plain", random_bytes(150_000));
        EncryptedFile::encrypt("$this->folder/plain", "$this->folder/locked", 'three wet gloves');
        $whole = (string) file_get_contents("$this->folder/locked");
        $piece = 65_536 + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES;
        $head = strlen($whole) - (150_000 + 3 * SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES);
        $changed = $whole;
        $changed[$head + 70_000] = chr(ord($changed[$head + 70_000]) ^ 1);
        $spoilt = [
            'changed' => $changed,
            'cut between two pieces' => substr($whole, 0, $head + $piece),
            'cut within one' => substr($whole, 0, -9),
            'cut in its head' => substr($whole, 0, 30),
            'with the pieces in another order' => substr($whole, 0, $head).substr($whole, $head + $piece, $piece)
                .substr($whole, $head, $piece).substr($whole, $head + 2 * $piece),
            'with more behind it' => $whole.'x',
        ];
        foreach ($spoilt as $how => $bytes) {
            file_put_contents("$this->folder/spoilt", $bytes);
            try {
                EncryptedFile::decrypt("$this->folder/spoilt", "$this->folder/back-".md5($how), 'three wet gloves');
                self::fail("$how was taken");
            } catch (RuntimeException $fault) {
                self::assertSame('the passphrase is wrong, or the file is damaged', $fault->getMessage(), $how);
            }
        }
        $this->expectExceptionMessage('the passphrase is wrong');
        EncryptedFile::decrypt("$this->folder/locked", "$this->folder/back", 'two wet gloves');
    }
}
