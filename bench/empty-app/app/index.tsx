import { Text, View } from '@tamagui/core';

export default function Empty() {
  return (
    <View>
      <Text role="heading">Empty</Text>
    </View>
  );
}
