<?php

declare(strict_types=1);

namespace App\Shelf;

/** Copies of the database beside it, made by SQLite's own backup while the work goes on. */
final readonly class Copies
{
    /** Days. */
    private const KEPT = 7;

    private const WAIT = 5000;

    public function __construct(private string $database) {}

    /** Null when the database lives in memory only. */
    public static function ofTheShelf(): ?self
    {
        $database = config('database.connections.sqlite.database');

        return is_string($database) && ! str_contains($database, ':memory:') ? new self($database) : null;
    }

    public function folder(): string
    {
        return dirname($this->database).'/copies';
    }

    /**
     * Today's copy, unless there is one; then the oldest beyond seven days' go.
     *
     * @return bool whether one was made
     */
    public function daily(): bool
    {
        $today = $this->folder().'/'.$this->name().'-'.date('Y-m-d').'.sqlite';
        $isFirst = ! is_file($today);
        if ($isFirst) {
            $this->copyTo($today);
            foreach (array_slice($this->all('[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'), self::KEPT) as $old) {
                @unlink($old);
            }
        }

        return $isFirst;
    }

    /** @return string where it is */
    public function beforeMigration(): string
    {
        $path = $this->folder().'/'.$this->name().'-before-'.date('Y-m-d-His').'.sqlite';
        $this->copyTo($path);

        return $path;
    }

    /** Whether SQLite finds the file whole. */
    public static function isWhole(string $path): bool
    {
        try {
            $database = new \SQLite3($path, SQLITE3_OPEN_READONLY);
            $database->enableExceptions(true);
            $database->busyTimeout(self::WAIT);
            $found = $database->querySingle('PRAGMA quick_check(1)');
            $database->close();

            return $found === 'ok';
        } catch (\Exception) {
            return false;
        }
    }

    /** The newest copy that is whole. */
    public function newestGood(): ?string
    {
        foreach ($this->all('*') as $copy) {
            if (self::isWhole($copy)) {
                return $copy;
            }
        }

        return null;
    }

    /**
     * Puts a copy in the database's place. What stood there is set aside, never thrown away.
     *
     * @return string where the old database is now
     *
     * @throws \RuntimeException
     */
    public function bringBack(string $copy): string
    {
        $aside = $this->database.'.aside-'.date('Y-m-d-His');
        $new = $this->database.'.new';
        if (! copy($copy, $new)) {
            throw new \RuntimeException('The copy could not be read.');
        }
        foreach (['', '-wal', '-shm'] as $part) {
            if (is_file($this->database.$part)) {
                rename($this->database.$part, $aside.$part);
            }
        }
        rename($new, $this->database);

        return $aside;
    }

    private function name(): string
    {
        return pathinfo($this->database, PATHINFO_FILENAME);
    }

    /** @return list<string> the newest first */
    private function all(string $kind): array
    {
        $copies = glob($this->folder().'/'.$this->name().'-'.$kind.'.sqlite') ?: [];
        usort($copies, static fn (string $a, string $b): int => [filemtime($b), $b] <=> [filemtime($a), $a]);

        return $copies;
    }

    /** Under another name first: what bears a copy's name is whole. */
    private function copyTo(string $path): void
    {
        is_dir($this->folder()) || @mkdir($this->folder(), 0o700, true);
        $unfinished = $path.'.'.getmypid();
        try {
            $from = new \SQLite3($this->database, SQLITE3_OPEN_READWRITE);
            $from->enableExceptions(true);
            $from->busyTimeout(self::WAIT);
            $to = new \SQLite3($unfinished);
            $to->enableExceptions(true);
            $from->backup($to);
            $to->close();
            $from->close();
            rename($unfinished, $path);
        } finally {
            if (is_file($unfinished)) {
                unlink($unfinished);
            }
        }
    }
}
