<?php

declare(strict_types=1);

namespace Lustrum\Http\OpenApi;

use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Record\Registry;
use OpenApi\Annotations as OA;
use OpenApi\Context;
use Symfony\Component\PropertyInfo\PropertyInfoExtractorInterface;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;

/** Describes the HTTP interface from its routes and the types of its controllers, so that nothing is said twice. */
final readonly class Description
{
    public function __construct(
        private RouterInterface $router,
        private PropertyInfoExtractorInterface $properties,
        private Registry $registry,
    ) {
    }

    public function json(): string
    {
        $schemas = new Schemas($this->properties);
        $problem = $schemas->ref(ProblemDocument::class);
        $paths = [];
        foreach ($this->router->getRouteCollection() as $name => $route) {
            $path = $route->getPath();
            if (!str_starts_with($path, '/api/')) {
                continue;
            }
            $paths[$path] ??= new OA\PathItem(['path' => $path, '_context' => self::context()]);
            foreach ($route->getMethods() as $method) {
                $operation = $this->operation($method, $name, $route, $schemas, $problem);
                $paths[$path]->{strtolower($method)} = $operation;
            }
        }
        ksort($paths);
        $api = new OA\OpenApi([
            'openapi' => '3.1.0',
            'info' => new OA\Info(
                [
                    'title' => 'Lustrum', 'version' => '1',
                    'description' => 'Writes carry X-Csrf-Token, as given by GET /api/session. Identifiers are UUID version 7, made by the client: a PUT may be repeated. An edit names the version that it started from.',
                    '_context' => self::context(),
                ],
            ),
            'paths' => array_values($paths),
            'components' => new OA\Components(['schemas' => $schemas->all(), '_context' => self::context()]),
            '_context' => self::context(),
        ]);

        return $api->toJson(\JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE)."\n";
    }

    private function operation(string $method, string $name, Route $route, Schemas $schemas, string $problem): OA\Operation
    {
        $controller = $route->getDefault('_controller');
        [$class, $function] = is_string($controller) ? explode('::', $controller) : throw new \LogicException(
            'A route names its controller as a text.',
        );
        $reflection = new \ReflectionMethod($class, $function);
        $named = $route->getDefault('kind');
        $kind = is_string($named) ? $this->registry->named($named) : null;
        $answers = $kind !== null ? new Answers($kind->view) : ($reflection->getAttributes(Answers::class)[0] ?? null)?->newInstance();
        $fields = [
            'path' => $route->getPath(), 'operationId' => $name, 'responses' => self::responses($answers, $schemas, $problem),
            '_context' => self::context(),
        ];
        if (preg_match('/\/\*\*\s*(.*?)\s*\*\//s', (string) $reflection->getDocComment(), $m) === 1) {
            $fields['summary'] = trim((string) preg_replace('/\s*\n\s*\*\s*/', ' ', explode("\n     *\n", $m[1])[0]));
        }
        $parameters = [];
        foreach ($route->compile()->getPathVariables() as $variable) {
            $parameters[] = new OA\Parameter(
                [
                    'name' => $variable, 'in' => 'path', 'required' => true,
                    'schema' => new OA\Schema(['type' => 'string', '_context' => self::context()]), '_context' => self::context(),
                ],
            );
        }
        foreach ($answers->query ?? [] as $variable) {
            $parameters[] = new OA\Parameter(
                [
                    'name' => $variable, 'in' => 'query', 'required' => false,
                    'schema' => new OA\Schema(['type' => 'string', '_context' => self::context()]), '_context' => self::context(),
                ],
            );
        }
        if ($parameters !== []) {
            $fields['parameters'] = $parameters;
        }
        $body = $kind !== null && $function === 'put' ? $kind->input : self::body($reflection);
        if ($body !== null) {
            $fields['requestBody'] = new OA\RequestBody(
                ['required' => true, 'content' => [self::content($schemas->ref($body), false)], '_context' => self::context()],
            );
        }

        $takes = Needs::of($route)?->takes;
        if ($takes === Takes::Form || $takes === Takes::DeviceFile) {
            $fields['requestBody'] = self::file($takes);
        }

        return match ($method) {
            'GET' => new OA\Get($fields),
            'PUT' => new OA\Put($fields),
            'POST' => new OA\Post($fields),
            'DELETE' => new OA\Delete($fields),
            default => throw new \LogicException($method.' is not used here.'),
        };
    }

    /** @return list<OA\Response> */
    private static function responses(?Answers $answers, Schemas $schemas, string $problem): array
    {
        $good = ['response' => '200', 'description' => 'Done', '_context' => self::context()];
        if ($answers?->class !== null) {
            $good['content'] = [self::content($schemas->ref($answers->class), $answers->list)];
        }

        return [
            new OA\Response($good),
            new OA\Response(
                [
                    'response' => 'default', 'description' => 'A problem, with a sentence for people',
                    'content' => [self::content($problem, false, 'application/problem+json')], '_context' => self::context(),
                ],
            ),
        ];
    }

    private static function content(string $ref, bool $list, string $type = 'application/json'): OA\MediaType
    {
        $schema = $list
            ? new OA\Schema(
                ['type' => 'array', 'items' => new OA\Items(['ref' => $ref, '_context' => self::context()]), '_context' => self::context()],
            )
            : new OA\Schema(['ref' => $ref, '_context' => self::context()]);

        return new OA\MediaType(['mediaType' => $type, 'schema' => $schema, '_context' => self::context()]);
    }

    /** A file, with texts beside it, or as it is. */
    private static function file(Takes $takes): OA\RequestBody
    {
        $file = new OA\Property(['property' => 'file', 'type' => 'string', 'format' => 'binary', '_context' => self::context()]);
        $schema = $takes === Takes::Form
            ? ['type' => 'object', 'required' => ['file'], 'properties' => [$file]]
            : ['type' => 'object'];
        $content = new OA\MediaType([
            'mediaType' => $takes === Takes::Form ? 'multipart/form-data' : 'application/json',
            'schema' => new OA\Schema($schema + ['_context' => self::context()]), '_context' => self::context(),
        ]);

        return new OA\RequestBody(['required' => true, 'content' => [$content], '_context' => self::context()]);
    }

    /** @return class-string|null the type of the argument that is the body */
    private static function body(\ReflectionMethod $method): ?string
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($parameter->getAttributes(Body::class) !== [] && $type instanceof \ReflectionNamedType && class_exists($type->getName())) {
                return $type->getName();
            }
        }

        return null;
    }

    private static function context(): Context
    {
        return new Context(['generated' => true]);
    }
}
