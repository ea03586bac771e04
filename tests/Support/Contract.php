<?php

declare(strict_types=1);

namespace Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/** The OpenAPI document, asked about what is sent and answered. */
final class Contract
{
    private const ID = 'https://amber.test/openapi.json';

    private static ?Validator $validator = null;

    /** @var array<string, mixed> */
    private static array $document = [];

    /** @return string|null what is wrong with the answer; null where it keeps to the document */
    public static function trouble(string $method, string $path, int $status, string $body): ?string
    {
        $template = self::template($path);
        $operation = self::document()['paths'][$template][strtolower($method)] ?? null;
        if ($operation === null) {
            return "{$method} {$path} is not in the document";
        }
        $code = isset($operation['responses'][$status]) ? (string) $status : 'default';

        return self::check($body, sprintf('/paths/%s/%s/responses/%s/content/application~1json/schema', self::escape($template), strtolower($method), $code));
    }

    /** @return list<string> all paths of the document */
    public static function paths(): array
    {
        return array_map(strval(...), array_keys(self::document()['paths']));
    }

    /** @return string|null what is wrong with the request's body */
    public static function requestTrouble(string $method, string $path, string $body): ?string
    {
        return self::check($body, sprintf('/paths/%s/%s/requestBody/content/application~1json/schema', self::escape(self::template($path)), strtolower($method)));
    }

    private static function check(string $body, string $pointer): ?string
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw((string) json_encode(self::document()), self::ID);
        }
        $result = self::$validator->validate(json_decode($body), self::ID.'#'.$pointer);
        $error = $result->error();

        return $error === null ? null : (string) json_encode((new ErrorFormatter)->format($error));
    }

    private static function template(string $path): string
    {
        $path = explode('?', $path)[0];
        foreach (array_keys(self::document()['paths']) as $template) {
            if (preg_match('~\A'.preg_replace('~\\\\{\w+\\\\}~', '[^/]+', preg_quote($template, '~')).'\z~', $path) === 1) {
                return $template;
            }
        }

        return $path;
    }

    /** @return array<string, mixed> */
    private static function document(): array
    {
        return self::$document === [] ? self::$document = Yaml::parseFile(__DIR__.'/../../docs/api/openapi.yaml') : self::$document;
    }

    private static function escape(string $part): string
    {
        return rawurlencode(str_replace(['~', '/'], ['~0', '~1'], $part));
    }
}
