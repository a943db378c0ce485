<?php

declare(strict_types=1);

$finder = PhpCsFixer\Finder::create()->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/demo', __DIR__.'/migrations', __DIR__.'/config', __DIR__.'/public'])->exclude('browser')->notName('reference.php');

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setParallelConfig(PhpCsFixer\Runner\Parallel\ParallelConfigFactory::detect())
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache')
    ->setRules([
        '@Symfony' => true,
        '@PHP82Migration' => true,
        'declare_strict_types' => true,
        'concat_space' => ['spacing' => 'none'],
        'phpdoc_to_comment' => false,
        'phpdoc_align' => false,
        'phpdoc_summary' => false,
        'phpdoc_separation' => false,
        'yoda_style' => false,
        'native_constant_invocation' => false,
        'native_function_invocation' => false,
        'global_namespace_import' => ['import_classes' => false],
        'single_line_throw' => false,
        'method_argument_space' => ['on_multiline' => 'ignore'],
        'increment_style' => ['style' => 'pre'],
        'blank_line_before_statement' => ['statements' => ['return']],
        'no_superfluous_phpdoc_tags' => false,
        'trailing_comma_in_multiline' => ['elements' => ['arrays', 'match', 'parameters']],
        'operator_linebreak' => false,
        'statement_indentation' => true,
    ])
    ->setFinder($finder);
