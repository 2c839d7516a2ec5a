<?php

declare(strict_types=1);

namespace App\BlockFiles;

use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Checks decoded JSON against the published schemas and says the first mistake in one plain sentence. */
final class BlockSchema
{
    public const FILE = 'schema/block.schema.json';

    public const TOP_FILE = 'schema/top.schema.json';

    /** By which the schema of tops names the one of blocks. */
    private const ID = 'keen-seam:block';

    /** @throws FileNotReadable */
    public function ensure(object $data, string $file = self::FILE): void
    {
        $schema = json_decode((string) file_get_contents(base_path($file)), false, 512, JSON_THROW_ON_ERROR);
        if (! is_object($schema)) {
            throw new \LogicException('The schema file holds an object.');
        }
        $validator = new Validator(max_errors: 1);
        $validator->resolver()?->registerFile(self::ID, base_path(self::FILE));
        $error = $validator->validate($data, $schema)->error();
        if ($error !== null) {
            throw $this->problem($this->deepest($error));
        }
    }

    private function deepest(ValidationError $error): ValidationError
    {
        $inner = $error->subErrors();

        return $inner === [] ? $error : $this->deepest($inner[0]);
    }

    private function problem(ValidationError $error): FileNotReadable
    {
        $path = $error->data()->fullPath();
        $where = $path === [] ? '' : '/'.implode('/', $path);
        $place = $path === [] ? 'at the top of the file' : 'at '.$where;
        $name = sprintf('"%s" %s', (string) end($path), $place);
        $args = $error->args();

        return match ($error->keyword()) {
            'additionalProperties' => $this->unknownField((array) ($args['properties'] ?? []), $where, $place),
            'required' => FileNotReadable::shape(sprintf('"%s" is missing %s. Add it.', $this->listed($args['missing'] ?? ''), $place), $where),
            'type' => FileNotReadable::shape(sprintf('%s must be %s, not %s. Correct it.', $name, $this->listed($args['expected'] ?? ''), $this->text($args['type'] ?? 'that')), $where),
            'enum' => FileNotReadable::shape(sprintf('%s is %s. Use one of: %s.', $name, $this->quoted($error->data()->value()), $this->listed($this->allowed($error))), $where),
            'const' => FileNotReadable::shape(sprintf('%s is %s. It must be %s.', $name, $this->quoted($error->data()->value()), $this->quoted($args['const'] ?? null)), $where),
            'pattern' => FileNotReadable::shape(sprintf('%s is %s, which is not a colour. Write it like "#3b5b7a".', $name, $this->quoted($error->data()->value())), $where),
            'minItems', 'minLength' => FileNotReadable::shape(sprintf('%s is empty. Fill it in.', $name), $where),
            'maxItems', 'maxLength' => FileNotReadable::shape(sprintf('%s is too long. Shorten it.', $name), $where),
            'minimum' => FileNotReadable::shape(sprintf('%s is %s. Count from 1.', $name, $this->quoted($error->data()->value())), $where),
            default => $error->schema()->info()->data() === false
                ? FileNotReadable::shape(sprintf('%s does not belong to this kind of unit. Remove it.', $name), $where)
                : FileNotReadable::shape(sprintf('%s does not fit the block format. Correct it.', $name), $where),
        };
    }

    /** @param array<mixed> $fields */
    private function unknownField(array $fields, string $where, string $place): FileNotReadable
    {
        $field = mb_substr($this->text(reset($fields)), 0, 40);

        return FileNotReadable::shape(sprintf('The field "%s" %s is unknown. Remove it, or correct its name.', $field, $place), $where.'/'.$field);
    }

    /** @return list<mixed> */
    private function allowed(ValidationError $error): array
    {
        $schema = $error->schema()->info()->data();

        return is_object($schema) && isset($schema->enum) && is_array($schema->enum) ? array_values($schema->enum) : [];
    }

    private function listed(mixed $values): string
    {
        return implode(', ', array_map($this->text(...), (array) $values));
    }

    private function quoted(mixed $value): string
    {
        return mb_strimwidth((string) json_encode($value, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE), 0, 60, '...');
    }

    private function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
