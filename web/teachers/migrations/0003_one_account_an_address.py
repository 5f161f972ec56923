from django.db import migrations


class Migration(migrations.Migration):
    dependencies = [
        ("auth", "0012_alter_user_first_name_max_length"),
        ("teachers", "0002_accounts"),
    ]
    operations = [
        migrations.RunSQL(
            "CREATE UNIQUE INDEX one_account_an_address ON auth_user (lower(email)) WHERE email <> ''",
            "DROP INDEX one_account_an_address",
        )
    ]
