<?php

declare(strict_types=1);

namespace App\Shelf;

use Illuminate\Database\SQLiteDatabaseDoesNotExistException;

/** What can happen to the place where the work is kept, as a quilter can be told it. */
enum Mishap: string
{
    case Busy = 'shelf-busy';
    case Full = 'disk-full';
    case ReadOnly = 'shelf-read-only';
    case Missing = 'shelf-missing';
    case Damaged = 'shelf-damaged';
    case Failing = 'disk-failing';

    /** Null when it is no mishap of the place but a mistake in the program. */
    public static function of(\Throwable $thrown): ?self
    {
        for ($cause = $thrown; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof SQLiteDatabaseDoesNotExistException) {
                return self::Missing;
            }
            if ($cause instanceof \PDOException) {
                $known = self::ofResult($cause);
                if ($known !== null) {
                    return $known;
                }
            }
        }

        return null;
    }

    public function words(): string
    {
        return match ($this) {
            self::Busy => 'Another window is saving and takes long. Nothing was changed; try again in a moment.',
            self::Full => 'The disk is full. Nothing was changed. Make room on it, then try again.',
            self::ReadOnly => 'Nothing can be saved: the folder or the file with your blocks may only be read. Nothing was changed. Give the right to write there, then try again.',
            self::Missing => 'The file with your blocks is not where it was. Nothing was changed. Put it back, or stop Keen Seam and start it again.',
            self::Damaged => 'The file with your blocks is damaged. Stop Keen Seam and start it again: it names the newest good copy and how to bring it back.',
            self::Failing => 'The disk does not take or give what it should. Nothing was changed. See to the disk, then try again.',
        };
    }

    public function status(): int
    {
        return $this === self::Full ? 507 : 503;
    }

    /** SQLite's primary result codes, sqlite.org/rescode.html. */
    private static function ofResult(\PDOException $thrown): ?self
    {
        $code = $thrown->errorInfo[1] ?? (is_int($thrown->getCode()) ? $thrown->getCode() : null);

        return match (is_int($code) ? $code & 0xFF : null) {
            5, 6 => self::Busy,
            8 => self::ReadOnly,
            10 => self::Failing,
            11, 26 => self::Damaged,
            13 => self::Full,
            14 => self::Missing,
            default => null,
        };
    }
}
