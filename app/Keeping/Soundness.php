<?php

declare(strict_types=1);

namespace App\Keeping;

use PDO;
use PDOException;

/** Whether the database file is whole. Looked at when the product starts; what was found is kept in a file beside it. */
final readonly class Soundness
{
    private const MARK = 'damaged.txt';

    /** What SQLite answers where a page of the file makes no sense, and where it is no database at all. */
    private const CORRUPT = [11, 26];

    public function __construct(private Place $place)
    {
    }

    /** @return string|null what is wrong, in SQLite's words */
    public function check(): ?string
    {
        $wrong = $this->trouble();
        if ($wrong === null) {
            @unlink($this->place->beside(self::MARK));
        } else {
            $this->place->write(self::MARK, $wrong);
        }

        return $wrong;
    }

    /** Known to be damaged since it was last looked at. */
    public function isDamaged(): bool
    {
        return $this->place->isFile() && is_file($this->place->beside(self::MARK));
    }

    /** Whether a reader met what makes no sense. */
    public static function isOf(PDOException $e): bool
    {
        return in_array(self::codeOf($e), self::CORRUPT, true);
    }

    /** SQLite's own number of what went wrong; of a connection that was never made it stands in the words alone. */
    public static function codeOf(PDOException $e): ?int
    {
        $code = $e->errorInfo[1] ?? null;
        if (is_int($code)) {
            return $code;
        }

        return preg_match('/SQLSTATE\[HY000\](?: \[(\d+)\]|: General error: (\d+))/', $e->getMessage(), $m) === 1 ? (int) ($m[2] ?? $m[1]) : null;
    }

    private function trouble(): ?string
    {
        if (! $this->place->isFile() || filesize($this->place->database()) === 0) {
            return null;
        }
        try {
            $pdo = new PDO('sqlite:'.$this->place->database(), null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::ATTR_TIMEOUT => 5]);
            $found = $pdo->query('pragma quick_check(1)');
            $answer = $found === false ? 'nothing' : $found->fetchColumn();

            return $answer === 'ok' ? null : (is_string($answer) ? $answer : 'it cannot be read');
        } catch (PDOException $e) {
            return self::isOf($e) ? $e->getMessage() : null;
        }
    }
}
