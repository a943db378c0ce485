<?php

declare(strict_types=1);

use Symfony\Component\DependencyInjection\Dumper\Preloader;

/*
 * Loads classes into php-fpm once, when it starts: what the container names, all of ours, and what most requests need of
 * the libraries and the container does not know of, because it is made by them.
 */
require getenv('LUSTRUM_CACHE').'/prod/Lustrum_KernelProdContainer.preload.php';

$root = dirname(__DIR__);
$wanted = '#^(Lustrum\\\\(?!Tests)|Doctrine\\\\(DBAL\\\\(Types|Connection|Driver\\\\(PDO|Middleware|AbstractPostgre)|Platforms\\\\Postgre|Schema\\\\Postgre|DriverManager)'
    .'|ORM\\\\(Persisters|Mapping\\\\(PropertyAccessors|MappingAttribute|Entity|Table|Driver\\\\AttributeReader)|Internal|Utility|Event|Proxy|Query)'
    .'|Persistence|Instantiator|Deprecations|Bundle\\\\DoctrineBundle\\\\Mapping)'
    .'|Symfony\\\\(Bridge\\\\Doctrine\\\\Types|Component\\\\(Validator\\\\(Context|Mapping|Validator|Util|Constraints)|Serializer\\\\(Encoder|Normalizer|Mapping)'
    .'|TypeInfo|PropertyAccess|VarExporter|Clock|Uid|HttpFoundation|Cache\\\\(Traits\\\\CachedValue|Adapter)|String\\\\Inflector'
    .'|Security\\\\Http\\\\Authenticator\\\\Token|Runtime\\\\Internal\\\\SymfonyError|DependencyInjection\\\\Exception))'
    .'|League\\\\(Flysystem|MimeTypeDetection))#';
/** @var array<string, string> $known */
$known = require $root.'/vendor/composer/autoload_classmap.php';
$classes = array_values(array_filter(
    array_keys($known),
    static fn (string $class): bool => preg_match($wanted, $class) === 1 && !str_contains($known[$class], '/tests/') && !str_contains($known[$class], '/Tests/'),
));
Preloader::preload($classes);
