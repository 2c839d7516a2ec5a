<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\BlockFiles\BlockFileReader;
use App\BlockFiles\FileNotReadable;
use Illuminate\Console\Command;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TurnsAllowed;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** What the seam:... commands share: a block file in, JSON or a file out, one sentence on standard error when the input is wrong. */
abstract class SeamCommand extends Command
{
    /** Seconds after which a very large block gets the best plan found so far. */
    protected const TIME_LIMIT = 20.0;

    /** The same for a top, whose turns and piles are searched too; what it takes to price them comes besides. */
    protected const TIME_LIMIT_OF_TOP = 8.0;

    final public function handle(BlockFileReader $reader): int
    {
        try {
            $text = $this->fileText();
            $document = BlockFileReader::saysTop($text) ? $this->answerTop($reader->readTop($text)) : $this->answer(...$reader->readWithPlan($text));
            if ($document instanceof OutFile) {
                $document->write();
                $this->output->writeln($document->says, OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
        } catch (KeenSeamProblem $problem) {
            $where = $problem->where() === '' ? '' : sprintf(' (%s)', $problem->where());
            $this->errors()->writeln($problem->getMessage().$where, OutputInterface::OUTPUT_RAW);

            return self::FAILURE;
        }
        $this->output->writeln(json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE), $this->output::OUTPUT_RAW);

        return self::SUCCESS;
    }

    /**
     * @return array<string, mixed>|OutFile the document to print, or the file to write
     *
     * @throws KeenSeamProblem
     */
    abstract protected function answer(Block $block, FilePlan $kept): array|OutFile;

    /**
     * @return array<string, mixed>|OutFile the same for a top
     *
     * @throws KeenSeamProblem
     */
    abstract protected function answerTop(Top $top): array|OutFile;

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $choices
     *
     * @return T
     */
    protected function oneOf(string $option, string $choices): \BackedEnum
    {
        $given = $this->option($option);
        $given = is_string($given) ? $given : '';

        return $choices::tryFrom($given)
            ?? throw OptionNotKnown::choice($option, $given, array_map(static fn (\BackedEnum $case): string => (string) $case->value, $choices::cases()));
    }

    protected function amount(string $option): ?float
    {
        $given = $this->option($option);
        if ($given === null) {
            return null;
        }

        return is_string($given) && is_numeric($given) && (float) $given >= 0
            ? (float) $given
            : throw OptionNotKnown::amount($option, is_string($given) ? $given : '');
    }

    /** A whole number that an option gives. */
    protected function whole(string $option, mixed $given): int
    {
        return is_string($given) && preg_match('~^\d{1,6}$~D', $given) === 1 ? (int) $given : throw OptionNotKnown::amount($option, is_string($given) ? $given : '');
    }

    /**
     * Sentences that are no refusal: what of the file's plan was left out.
     *
     * @param list<string> $sentences
     */
    protected function tell(array $sentences): void
    {
        foreach ($sentences as $sentence) {
            $this->errors()->writeln($sentence, OutputInterface::OUTPUT_RAW);
        }
    }

    /** Seconds for the plan of a top: longer where faces may change, or seams are decided stretch by stretch. */
    protected function limitOf(Top $top, ?PressStyle $style): float
    {
        return $top->turns === TurnsAllowed::Any || in_array($style, [PressStyle::NestFurl, PressStyle::Mixed], true) ? self::TIME_LIMIT : self::TIME_LIMIT_OF_TOP;
    }

    /** @return \Closure(): bool true once so many seconds have passed */
    protected function untilTime(float $seconds): \Closure
    {
        $end = microtime(true) + $seconds;

        return static fn (): bool => microtime(true) > $end;
    }

    private function errors(): OutputInterface
    {
        $output = $this->output->getOutput();

        return $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $this->output;
    }

    private function fileText(): string
    {
        $path = $this->argument('file');
        $text = is_file($path) ? @file_get_contents($path) : false;

        return $text === false ? throw FileNotReadable::missing($path) : $text;
    }
}
