<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A change belongs to a build, to the shelf, to the house rules or to the order of the builds; builds can be put away, or lie in the bin. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('builds', static function (Blueprint $table): void {
            $table->boolean('away')->default(false);
            $table->unsignedBigInteger('binned')->nullable();
        });
        Schema::create('changes_of_anything', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->string('scope', 20);
            $table->char('build_id', 26)->nullable();
            $table->unsignedInteger('revision');
            $table->string('title');
            $table->text('edits');
            $table->text('inverse');
            $table->char('undoes', 26)->nullable();
            $table->unsignedBigInteger('at');
            $table->foreign('build_id')->references('id')->on('builds')->cascadeOnDelete();
        });
        DB::statement("insert into changes_of_anything (id, scope, build_id, revision, title, edits, inverse, undoes, at) select id, 'build', build_id, revision, title, edits, inverse, undoes, at from changes");
        Schema::drop('changes');
        Schema::rename('changes_of_anything', 'changes');
        // A build counts its own; what has no build counts by itself.
        DB::statement("create unique index changes_of_builds on changes (build_id, revision) where scope = 'build'");
        DB::statement("create unique index changes_of_others on changes (scope, revision) where scope != 'build'");
    }

    public function down(): void
    {
        DB::table('changes')->where('scope', '!=', 'build')->delete();
        Schema::create('changes_of_builds_only', static function (Blueprint $table): void {
            $table->char('id', 26)->primary();
            $table->char('build_id', 26);
            $table->unsignedInteger('revision');
            $table->string('title');
            $table->text('edits');
            $table->text('inverse');
            $table->char('undoes', 26)->nullable();
            $table->unsignedBigInteger('at');
            $table->foreign('build_id')->references('id')->on('builds')->cascadeOnDelete();
            $table->unique(['build_id', 'revision']);
        });
        DB::statement('insert into changes_of_builds_only select id, build_id, revision, title, edits, inverse, undoes, at from changes');
        Schema::drop('changes');
        Schema::rename('changes_of_builds_only', 'changes');
        Schema::table('builds', static function (Blueprint $table): void {
            $table->dropColumn(['away', 'binned']);
        });
    }
};
